/** The ground column: the job's stages as layers, top to bottom in the order the work is done. */
import { Box, chakra } from '@chakra-ui/react';
import { OctagonAlert } from 'lucide-react';
import { memo, useCallback } from 'react';
import { Hatches, ink } from '../../drawing/hatches.tsx';
import { useTranslation } from '../../messages/useTranslation.ts';
import { keyOf, STAGES, type Stage } from '../../state/stages.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { useFormat } from '../../ui/format.tsx';
import { STAGE_TABLE } from '../stageTable.tsx';

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
      data-stages
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
      {STAGES.map((key) => {
        const { text, held } = STAGE_TABLE[key].answer({ plan, takeoff, revision, t, format });
        const stopped = takeoff.cautions.some(({ weight, stage: of }) => weight === 'stop' && of === key);
        return (
          <StageLayer
            key={key}
            stage={key}
            text={text}
            held={held || stopped}
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
  text,
  held,
  here,
  onPick,
}: {
  stage: Stage;
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
      aria-keyshortcuts={keyOf(stage)}
      aria-current={here ? 'step' : undefined}
      boxShadow={here ? 'inset 7px 0 0 var(--chakra-colors-chalk)' : 'none'}
      onClick={() => onPick(stage)}
    >
      {!here && (
        <svg aria-hidden width="100%" height="100%" style={{ position: 'absolute', inset: 0, opacity: 0.55 }}>
          <rect width="100%" height="100%" fill={STAGE_TABLE[stage].fill} />
        </svg>
      )}
      <span className="layer-words">
        <span className="layer-head">
          <span className="layer-name">{t(`stage.${stage}`)}</span>
          {held && <OctagonAlert className="layer-held" size={18} role="img" aria-label={t('column.held')} />}
        </span>
        <span className="layer-answer">{text}</span>
      </span>
    </Layer>
  );
});
