/** The few controls everything is made of, in the field book's look. */
import { chakra } from '@chakra-ui/react';

export const Button = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 2,
    px: 3,
    minH: '36px',
    borderRadius: 'sm',
    borderWidth: '1px',
    borderStyle: 'solid',
    borderColor: 'edge',
    bg: 'sheet',
    color: 'ink',
    fontWeight: 500,
    fontSize: 'sm',
    cursor: 'pointer',
    textDecoration: 'none',
    whiteSpace: 'nowrap',
    _hover: { borderColor: 'chalk', color: 'chalk' },
    _disabled: { opacity: 0.5, cursor: 'default' },
    // Thumbs in gloves: fields seen on a phone have taller targets.
    '@media (pointer: coarse), (max-width: 760px)': { minH: '44px', minW: '44px' },
  },
  variants: {
    look: {
      plain: {},
      main: {
        bg: 'chalk',
        borderColor: 'chalk',
        color: 'onChalk',
        _hover: { color: 'onChalk', opacity: 0.9 },
      },
      quiet: { borderColor: 'transparent', bg: 'transparent' },
      held: {
        borderColor: 'held',
        bg: 'heldWash',
        color: 'held',
        _hover: { borderColor: 'held', color: 'held' },
      },
    },
    size: { md: {}, sm: { minH: '28px', px: 2, fontSize: 'xs' } },
  },
  defaultVariants: { look: 'plain', size: 'md' },
});

export const Input = chakra('input', {
  base: {
    w: 'full',
    minH: '36px',
    px: 2,
    borderRadius: 'sm',
    borderWidth: '1px',
    borderStyle: 'solid',
    borderColor: 'edge',
    bg: 'sheet',
    color: 'ink',
    fontSize: 'md',
    _invalid: { borderColor: 'held', borderWidth: '2px' },
    '@media (pointer: coarse), (max-width: 760px)': { minH: '44px' },
  },
});

export const Select = chakra('select', {
  base: {
    w: 'full',
    // As wide as its longest choice it would widen a phone's page.
    maxW: 'full',
    minW: 0,
    minH: '36px',
    px: 1.5,
    borderRadius: 'sm',
    borderWidth: '1px',
    borderStyle: 'solid',
    borderColor: 'edge',
    bg: 'sheet',
    color: 'ink',
    fontSize: 'sm',
    '@media (pointer: coarse), (max-width: 760px)': { minH: '44px' },
  },
});

export const Heading = chakra('h2', {
  base: { fontFamily: 'figure', fontSize: 'lg', fontWeight: 600, letterSpacing: '0.01em', lineHeight: 1.2 },
});

export const Small = chakra('span', { base: { fontSize: 'xs', color: 'soft', display: 'block' } });

/** A message at the field, read out when it appears. */
export const FieldError = chakra('span', {
  base: { fontSize: 'xs', color: 'held', fontWeight: 600, display: 'block' },
});

export const Th = chakra('th', { base: { textAlign: 'left', fontWeight: 500 } });

/** A field that reads as plain text until it is used. */
export const Bare = chakra('input', {
  base: {
    display: 'block',
    w: 'full',
    minW: 0,
    p: 0,
    border: 'none',
    bg: 'transparent',
    borderRadius: 'sm',
    minH: '24px',
    _hover: { bg: 'chalkWash' },
    '@media (pointer: coarse), (max-width: 760px)': { minH: '44px' },
  },
});
