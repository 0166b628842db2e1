/**
 * Looks of what every edit draws again: tally, column, cautions, what decides. They are classes of the
 * theme, put down once; a style worked out at every key costs more than the edit itself.
 */
import type { SystemStyleObject } from '@chakra-ui/react';

export const DESK_LOOKS: Record<string, SystemStyleObject> = {
  '.plan-pane': { position: 'absolute', inset: 0, overflow: 'hidden' },
  /** Stands over the plan, and does not move with it. */
  '.plan-still': { position: 'absolute', left: 0, bottom: 0, pointerEvents: 'none' },

  '.tally-cell': {
    textAlign: 'left',
    px: 2.5,
    py: 1.5,
    bg: 'transparent',
    border: 'none',
    borderRightWidth: '1px',
    borderRightStyle: 'solid',
    borderColor: 'rule',
    minW: '9.2rem',
    lg: { minW: 0 },
    flex: 1,
    cursor: 'pointer',
    _hover: { bg: 'chalkWash' },
  },
  '.tally-name': { display: 'block', fontSize: 'xs', color: 'soft', whiteSpace: 'nowrap' },
  '.tally-value': {
    display: 'block',
    fontFamily: 'figure',
    fontWeight: 600,
    fontSize: '2xl',
    lineHeight: 1.05,
    fontVariantNumeric: 'tabular-nums',
  },
  '.tally-unit': { fontSize: 'md', color: 'soft' },
  '.tally-sub': { display: 'block', fontSize: 'xs', lineHeight: 1.2 },
  '.tally-sub[data-tone=earth]': { color: 'earth' },
  '.tally-sub[data-tone=placed]': { color: 'placed' },
  '.tally-sub[data-tone=water]': { color: 'water' },

  '.caution': {
    borderLeftWidth: '4px',
    borderStyle: 'solid',
    p: 2,
    fontSize: 'sm',
    borderColor: 'edge',
    bg: 'paper',
  },
  '.caution[data-weight=warn]': { borderColor: 'note', bg: 'noteWash' },
  '.caution[data-weight=stop]': { borderColor: 'held', bg: 'heldWash' },

  '.decides': {
    borderLeftWidth: '4px',
    borderStyle: 'solid',
    borderColor: 'chalk',
    bg: 'chalkWash',
    p: 2.5,
    fontSize: 'sm',
  },
  '.decides strong': { display: 'block' },
  '.ranked': { fontSize: 'sm', w: 'full' },
  '.ranked th': { textAlign: 'left', fontWeight: 400 },
  '.ranked td': { textAlign: 'right', fontFamily: 'figure', fontSize: 'md', fontWeight: 500 },
  '.ranked tr:first-of-type > *': { fontWeight: 600 },

  '.layer-head': { display: 'flex', justifyContent: 'space-between', alignItems: 'baseline' },
  '.layer-words': { position: 'relative', display: 'block' },
  '.layer-name': {
    fontFamily: 'figure',
    fontWeight: 600,
    fontSize: 'lg',
    bg: 'sheet',
    px: 1,
    borderRadius: 'sm',
    lineHeight: 1.25,
  },
  '.layer-number': { fontSize: 'xs', bg: 'sheet', px: 1, borderRadius: 'sm' },
  '.layer-answer': {
    display: 'inline-block',
    fontSize: 'xs',
    mt: 0.5,
    bg: 'sheet',
    px: 1,
    borderRadius: 'sm',
    fontWeight: 500,
  },
  '[aria-current=step] > .layer-words': { pl: 1.5 },
  '[aria-current=step] .layer-name, [aria-current=step] .layer-answer': { bg: 'transparent', px: 0 },
  '.layer-held': { color: 'held', fontWeight: 600 },
};
