/** The ground column: the job's stages as layers, top to bottom in the order the work is done. */
import { Box, chakra } from '@chakra-ui/react';
import { adjust, type Plan, setoutPoints, type Takeoff } from '@cimiento/core';
import { memo, useCallback } from 'react';
import type { Say } from '../../messages/keys.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { type Format, useFormat } from '../../ui/format.tsx';
import { countText } from '../../ui/words.ts';
import { Hatches, ink } from '../hatches.tsx';
import { STAGES, type Stage } from '../stages.ts';
import { useDesk, useDeskStore } from '../store.ts';
import { useShownPlan, useTakeoff } from '../takeoff.ts';

type State = 'empty' | 'inWork' | 'held' | 'done';

/** The live one-line answer of a stage, and how it stands. */
function answer(
  stage: Stage,
  plan: Plan,
  takeoff: Takeoff,
  revision: number,
  t: Say,
  format: Format,
): { text: string; state: State } {
  const volume = (value: number) => format.text(value, 'volume');
  const held = (code: string) => takeoff.cautions.some((c) => c.code === code && c.weight === 'stop');
  const live = takeoff.elements.filter((e) => e.live);
  const any = live.length > 0;
  switch (stage) {
    case 'ground':
      return {
        text:
          takeoff.frost.depth === null
            ? t('column.noFrost')
            : t('column.ground', {
                count: plan.ground.soils.length,
                frost: format.text(takeoff.frost.depth, 'length'),
              }),
        state: takeoff.frost.depth === null ? 'inWork' : 'done',
      };
    case 'setout': {
      const measured = takeoff.facts.taped;
      if (measured.length > 0) {
        const { lines, ok } = adjust(
          setoutPoints(plan),
          measured,
          plan.setout.tolerance,
          plan.setout.temperature,
        );
        const off = Math.max(0, ...lines.map((line) => Math.abs(line.off)));
        return {
          text: t('column.measured', { off: format.text(off, 'size') }),
          state: ok ? 'done' : 'held',
        };
      }
      return {
        text: countText(t, plan.elements),
        state: plan.elements.length > 0 ? 'done' : 'empty',
      };
    }
    case 'levels':
      return { text: t('column.levels', { level: format.text(plan.levels.string, 'level') }), state: 'done' };
    case 'dig': {
      if (!any) return { text: t('column.nothing'), state: 'empty' };
      const deepest = Math.max(...live.map((e) => e.fromString));
      return {
        text: t('column.dig', { depth: format.text(deepest, 'length') }),
        state: held('unsupported') || held('engineerDepth') ? 'held' : 'inWork',
      };
    }
    case 'water':
      return takeoff.holes.length > 0
        ? { text: t('column.water', { flow: format.text(takeoff.inflow[1], 'flow') }), state: 'held' }
        : takeoff.water.from === null
          ? { text: t('column.waterUnknown'), state: any ? 'inWork' : 'empty' }
          : { text: t('column.dry'), state: any ? 'done' : 'empty' };
    case 'base':
      return takeoff.beds.length > 0
        ? {
            text: t('column.base', {
              count: takeoff.beds.length,
              mass: format.text(takeoff.stone.mass, 'mass'),
            }),
            state: any ? 'inWork' : 'empty',
          }
        : { text: t('column.noBase'), state: 'empty' };
    case 'pour':
      return {
        text: any ? t('column.pour', { volume: volume(takeoff.concrete.ordered) }) : t('column.nothing'),
        state: any ? 'inWork' : 'empty',
      };
    case 'backfill':
      return {
        text: any ? t('column.backfill', { volume: volume(takeoff.spoil.backfill) }) : t('column.nothing'),
        state: any ? 'inWork' : 'empty',
      };
    case 'log':
      return { text: t('jobs.revision', { n: revision }), state: 'done' };
  }
}

/** Ground of each layer of the column, from grass down to what was placed. */
const LAYER: Record<Stage, string> = {
  ground: 'url(#column-topsoil)',
  setout: 'url(#column-sand)',
  levels: 'url(#column-stiffClay)',
  dig: 'url(#column-softClay)',
  water: 'url(#column-water)',
  base: 'url(#column-stone)',
  pour: 'url(#column-concrete)',
  backfill: 'url(#column-sandySilt)',
  log: ink('sheet'),
};

const Layer = chakra('button', {
  base: {
    position: 'relative',
    display: 'block',
    w: 'full',
    flex: 1,
    minH: '56px',
    textAlign: 'left',
    px: 3,
    py: 1.5,
    border: 'none',
    overflow: 'hidden',
    borderBottomWidth: '1px',
    borderBottomStyle: 'solid',
    borderBottomColor: 'edge',
    cursor: 'pointer',
    bg: 'sheet',
  },
});

export function GroundColumn({ onPick }: { onPick?: () => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const plan = useShownPlan();
  const stage = useDesk((desk) => desk.stage);
  const revision = useDesk((desk) => desk.base.revision);
  const takeoff = useTakeoff();
  const pick = useCallback(
    (next: Stage) => {
      store.getState().go(next);
      onPick?.();
    },
    [store, onPick],
  );
  return (
    <Box
      as="nav"
      aria-label={t('column.title')}
      display="flex"
      flexDirection="column"
      h="full"
      borderRightWidth={{ lg: '2px' }}
      borderStyle="solid"
      borderColor="ink"
    >
      <svg width="0" height="0" style={{ position: 'absolute' }} aria-hidden>
        <Hatches prefix="column" soils={['topsoil', 'sand', 'stiffClay', 'softClay', 'sandySilt']} />
        <defs>
          <pattern id="column-water" width="20" height="10" patternUnits="userSpaceOnUse">
            <rect width="20" height="10" fill={ink('water-wash')} />
            <path d="M0 6q5 -4 10 0t10 0" fill="none" stroke={ink('water')} strokeWidth="0.8" opacity="0.6" />
          </pattern>
        </defs>
      </svg>
      {STAGES.map((key, i) => {
        const { text, state } = answer(key, plan, takeoff, revision, t, format);
        return (
          <StageLayer
            key={key}
            stage={key}
            index={i}
            text={text}
            held={state === 'held'}
            here={key === stage}
            onPick={pick}
          />
        );
      })}
    </Box>
  );
}

/** One layer; drawn again only when its answer changes. */
const StageLayer = memo(function StageLayer({
  stage,
  index,
  text,
  held,
  here,
  onPick,
}: {
  stage: Stage;
  index: number;
  text: string;
  held: boolean;
  here: boolean;
  onPick: (stage: Stage) => void;
}) {
  const { t } = useTranslation();
  return (
    <Layer
      type="button"
      data-stage={stage}
      aria-current={here ? 'step' : undefined}
      boxShadow={here ? 'inset 7px 0 0 var(--chakra-colors-chalk)' : 'none'}
      onClick={() => onPick(stage)}
    >
      {!here && (
        <svg aria-hidden width="100%" height="100%" style={{ position: 'absolute', inset: 0, opacity: 0.55 }}>
          <rect width="100%" height="100%" fill={LAYER[stage]} />
        </svg>
      )}
      <span className="layer-words">
        <span className="layer-head">
          <span className="layer-name">{t(`stage.${stage}`)}</span>
          <span className="layer-number">{index + 1}</span>
        </span>
        <span className="layer-answer">
          {text}
          {held && <span className="layer-held"> · {t('column.held')}</span>}
        </span>
      </span>
    </Layer>
  );
});
