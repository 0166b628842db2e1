/** The drawing under the plan: the section, or what the stage has of its own to draw. */
import { chakra } from '@chakra-ui/react';
import { Suspense, useLayoutEffect, useMemo, useRef } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import type { Stage } from '../state/stages.ts';
import { type Lower, useDesk, useDeskStore } from '../state/store.ts';
import { Heading } from '../ui/controls.tsx';
import { later } from '../ui/later.tsx';
import { SectionView } from './section/SectionView.tsx';
import type { DrawingProps } from './stageRow.ts';
import { STAGE_TABLE } from './stageTable.tsx';

const ground = () => import('../stages/ground/index.ts');
const levels = () => import('../stages/levels/index.ts');
const setout = () => import('../stages/setout/index.ts');
const dig = () => import('../stages/dig/views.ts');
const fill = () => import('../stages/backfill/index.ts');

/** Every drawing there is; on a phone some have a list under them and need more room than the others, px. */
const DRAWINGS: Readonly<
  Record<Lower, { readonly View: React.ComponentType<DrawingProps>; readonly room?: number }>
> = {
  section: { View: SectionView },
  pit: { View: later(ground, 'PitFace'), room: 680 },
  fence: { View: later(ground, 'FenceView') },
  frost: { View: later(ground, 'FrostCharts'), room: 460 },
  stack: { View: later(levels, 'StackView'), room: 680 },
  long: { View: later(levels, 'LongSectionView') },
  checks: { View: later(setout, 'CheckSheet') },
  boards: { View: later(setout, 'BoardsTable') },
  bed: { View: later(() => import('../stages/base/BedView.tsx'), 'BedView') },
  proof: { View: later(() => import('../stages/base/proof/index.ts'), 'ProofChart') },
  order: { View: later(dig, 'SequenceView') },
  trucks: { View: later(dig, 'TrucksView'), room: 680 },
  piles: { View: later(dig, 'PilesView') },
  night: { View: later(() => import('../stages/water/night/index.ts'), 'NightView') },
  placing: { View: later(() => import('../stages/pour/placing/index.ts'), 'PlacingView'), room: 460 },
  flow: { View: later(fill, 'FlowView'), room: 460 },
};
const ROOM = 340;
/** px a head with a player takes beside. */
const PLAYED = 90;

/** The drawing that stands there now, and those there are. */
function useShown(): { shown: Lower; drawings: readonly Lower[] } {
  const stage = useDesk((desk) => desk.stage);
  const chosen = useDesk((desk) => desk.view.lower[desk.stage]);
  const { drawings } = STAGE_TABLE[stage];
  return { drawings, shown: chosen && drawings.includes(chosen) ? chosen : drawings[0] };
}

/** Room the drawing wants on a phone; with something to play in its head, more. */
export function useLowerHeight(): string {
  const { shown } = useShown();
  const played = useDesk(
    (desk) => (desk.stage === 'water' || desk.stage === 'backfill') && shown === 'section',
  );
  return `${(DRAWINGS[shown].room ?? ROOM) + (played ? PLAYED : 0)}px`;
}

export function LowerView({ element, index, near }: Omit<DrawingProps, 'head'>) {
  const stage = useDesk((desk) => desk.stage);
  const { shown, drawings } = useShown();
  const { View } = DRAWINGS[shown];
  const byKeys = useRef(false);
  const head = useMemo(
    () => (
      <Head stage={stage} drawings={drawings} shown={shown} name={element?.name ?? null} byKeys={byKeys} />
    ),
    [stage, drawings, shown, element?.name],
  );
  return (
    // Of another drawing nothing is left standing while this one comes.
    <Suspense key={shown} fallback={head}>
      <View head={head} element={element} index={index} near={near} />
    </Suspense>
  );
}

/** Names of the drawings there are, or of the only one. */
function Head({
  stage,
  drawings,
  shown,
  name,
  byKeys,
}: {
  stage: Stage;
  drawings: readonly Lower[];
  shown: Lower;
  /** Of the element cut through. */
  name: string | null;
  /** Whether the drawing shown was come to by keys; outlives this head, which each drawing puts anew. */
  byKeys: React.RefObject<boolean>;
}) {
  const tabs = useRef<HTMLDivElement>(null);
  // A drawing fetched later puts its own head in the place of this one, and the focus would go with it.
  useLayoutEffect(() => {
    const list = tabs.current;
    if (!list || !byKeys.current) return;
    const active = document.activeElement;
    if (active === null || active === document.body || list.contains(active))
      list.querySelector<HTMLElement>(`[data-lower=${shown}]`)?.focus();
    else byKeys.current = false;
  }, [shown, byKeys]);
  // On a phone they are pushed along: the one shown is in view.
  useLayoutEffect(() => {
    const list = tabs.current;
    const tab = list?.querySelector<HTMLElement>(`[data-lower=${shown}]`);
    if (!list || !tab) return;
    const left = tab.offsetLeft - list.offsetLeft;
    if (left < list.scrollLeft) list.scrollLeft = left;
    else if (left + tab.offsetWidth > list.scrollLeft + list.clientWidth)
      list.scrollLeft = left + tab.offsetWidth - list.clientWidth;
  }, [shown]);
  const { t } = useTranslation();
  const store = useDeskStore();
  const choose = (lower: Lower) => {
    const { look, view } = store.getState();
    look({ lower: { ...view.lower, [stage]: lower } });
  };
  const title = (lower: Lower) =>
    lower === 'section' && name !== null ? t('section.through', { name }) : t(`lower.${lower}`);
  /** Arrows go from tab to tab, round; Home and End to the first and the last. */
  const move = (event: React.KeyboardEvent<HTMLElement>) => {
    const at = drawings.indexOf(shown);
    const to = {
      ArrowRight: at + 1,
      ArrowLeft: at - 1,
      Home: 0,
      End: drawings.length - 1,
    }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    byKeys.current = true;
    choose(drawings[(to + drawings.length) % drawings.length]!);
  };
  if (drawings.length < 2) return <Heading>{title('section')}</Heading>;
  return (
    <Tabs ref={tabs} className="no-print" role="tablist" aria-label={t('lower.title')} onKeyDown={move}>
      {drawings.map((lower) => (
        <Tab
          key={lower}
          type="button"
          role="tab"
          aria-selected={lower === shown}
          tabIndex={lower === shown ? 0 : -1}
          data-lower={lower}
          onClick={() => {
            byKeys.current = false;
            choose(lower);
          }}
        >
          {title(lower)}
        </Tab>
      ))}
    </Tabs>
  );
}

/** The drawings' names in a row; on a phone they are pushed along under the thumb. */
const Tabs = chakra('div', {
  base: {
    display: 'flex',
    flexWrap: 'wrap',
    gap: 1,
    '@media (max-width: 1019px)': { flexWrap: 'nowrap', overflowX: 'auto', minWidth: 0 },
  },
});

/** A drawing's name as its tab: the one shown reads as the heading it is. */
const Tab = chakra('button', {
  base: {
    px: 2,
    minH: '30px',
    border: 'none',
    bg: 'transparent',
    color: 'soft',
    fontFamily: 'figure',
    fontSize: 'md',
    fontWeight: 500,
    cursor: 'pointer',
    whiteSpace: 'nowrap',
    borderBottomWidth: '3px',
    borderBottomStyle: 'solid',
    borderBottomColor: 'transparent',
    '&[aria-selected=true]': {
      color: 'ink',
      fontWeight: 600,
      fontSize: 'lg',
      borderBottomColor: 'chalk',
    },
    _hover: { color: 'chalk' },
    '@media (pointer: coarse), (max-width: 760px)': { minH: '44px', minW: '44px' },
  },
});
