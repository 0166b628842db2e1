/** The drawing under the plan: the section, or what the stage has of its own to draw. */
import { chakra } from '@chakra-ui/react';
import type { Element, Section } from '@cimiento/core';
import { Suspense, useLayoutEffect, useMemo, useRef } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { Heading } from '../ui/controls.tsx';
import { later } from '../ui/later.tsx';
import { SectionView } from './section/SectionView.tsx';
import type { Stage } from './stages.ts';
import { type Lower, useDesk, useDeskStore } from './store.ts';

const ground = () => import('../stages/ground/index.ts');
const levels = () => import('../stages/levels/index.ts');
const setout = () => import('../stages/setout/index.ts');
const base = () => import('../stages/base/BedView.tsx');
const dig = () => import('../stages/dig/views.ts');
const PitFace = later(ground, 'PitFace');
const FenceView = later(ground, 'FenceView');
const FrostCharts = later(ground, 'FrostCharts');
const StackView = later(levels, 'StackView');
const LongSectionView = later(levels, 'LongSectionView');
const CheckSheet = later(setout, 'CheckSheet');
const BoardsTable = later(setout, 'BoardsTable');
const BedView = later(base, 'BedView');
const ProofChart = later(() => import('../stages/base/proof/index.ts'), 'ProofChart');
const SequenceView = later(dig, 'SequenceView');
const TrucksView = later(dig, 'TrucksView');
const NightView = later(() => import('../stages/water/night/index.ts'), 'NightView');
const PilesView = later(dig, 'PilesView');

/** The first stands there until another is chosen. */
const DRAWINGS: Partial<Record<Stage, readonly Lower[]>> = {
  ground: ['section', 'pit', 'fence', 'frost'],
  levels: ['stack', 'section', 'long'],
  setout: ['checks', 'boards', 'section'],
  water: ['section', 'night'],
  base: ['bed', 'proof', 'section'],
  dig: ['section', 'order', 'trucks', 'piles', 'long'],
};

const ONLY: readonly Lower[] = ['section'];

/** The drawing that stands there now, and those there are. */
function useShown(): { shown: Lower; drawings: readonly Lower[] } {
  const stage = useDesk((desk) => desk.stage);
  const chosen = useDesk((desk) => desk.view.lower[desk.stage]);
  const drawings = DRAWINGS[stage] ?? ONLY;
  return { drawings, shown: chosen && drawings.includes(chosen) ? chosen : drawings[0]! };
}

/** On a phone some drawings have a list under them and need more room, px. */
export function useLowerHeight(): string {
  const { shown } = useShown();
  if (shown === 'pit' || shown === 'stack' || shown === 'trucks') return '680px';
  return shown === 'frost' ? '460px' : '340px';
}

export function LowerView({
  element,
  index,
  near,
}: {
  element: Element | undefined;
  index: number;
  near: Section | null;
}) {
  const stage = useDesk((desk) => desk.stage);
  const { shown, drawings } = useShown();
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
      <Shown shown={shown} head={head} element={element} index={index} near={near} />
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

function Shown({
  shown,
  head,
  element,
  index,
  near,
}: {
  shown: Lower;
  head: React.ReactNode;
  element: Element | undefined;
  index: number;
  near: Section | null;
}) {
  switch (shown) {
    case 'pit':
      return <PitFace head={head} />;
    case 'fence':
      return <FenceView head={head} />;
    case 'frost':
      return <FrostCharts head={head} />;
    case 'stack':
      return <StackView head={head} element={element} index={index} near={near} />;
    case 'bed':
      return <BedView head={head} element={element} index={index} near={near} />;
    case 'proof':
      return <ProofChart head={head} element={element} />;
    case 'long':
      return <LongSectionView head={head} index={index} />;
    case 'checks':
      return <CheckSheet head={head} />;
    case 'boards':
      return <BoardsTable head={head} />;
    case 'order':
      return <SequenceView head={head} />;
    case 'trucks':
      return <TrucksView head={head} />;
    case 'piles':
      return <PilesView head={head} />;
    case 'night':
      return <NightView head={head} element={element} />;
    case 'section':
      return <SectionView head={head} element={element} index={index} near={near} />;
  }
}

/** The drawings' names in a row; on a phone they are pushed along under the thumb. */
const Tabs = chakra('div', {
  base: {
    display: 'flex',
    flexWrap: 'wrap',
    gap: 1,
    '@media (max-width: 760px)': { flexWrap: 'nowrap', overflowX: 'auto', maxWidth: '100%' },
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
    '@media (pointer: coarse), (max-width: 760px)': { minH: '44px' },
  },
});
