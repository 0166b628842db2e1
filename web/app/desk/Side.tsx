/** The right side: the numbers of the stage, what decides the depth, and the cautions that apply. */
import { Box, Stack } from '@chakra-ui/react';
import {
  type CautionStage,
  type Lifter,
  REMEDIED,
  type Remedied,
  STANDING_CODES,
  type Weight,
} from '@cimiento/core';
import { memo, Suspense } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { DigJobPanel, DigPanel } from '../stages/dig/DigPanel.tsx';
import { Panel } from '../stages/fields.tsx';
import { Small } from '../ui/controls.tsx';
import { useFormat } from '../ui/format.tsx';
import { later } from '../ui/later.tsx';
import { cautionKey, cautionText, concerns, problemText } from '../ui/words.ts';
import { NextLine } from './NextLine.tsx';
import type { Stage } from './stages.ts';
import { useDesk, useDeskStore } from './store.ts';
import { useLookedAt, useShownPlan, useTakeoff } from './takeoff.ts';

const panels = () => import('../stages/dig/panels.ts');
const Alternatives = later(panels, 'Alternatives');
const MachinePanel = later(panels, 'MachinePanel');
const SpoilPanel = later(panels, 'SpoilPanel');
const TruckPanel = later(panels, 'TruckPanel');
const Remedy = later(() => import('./Remedy.tsx'), 'Remedy');

/** The dig is what a desk opens with; the other stages come when they are first looked at. */
const PANELS: Record<Stage, React.ComponentType> = {
  ground: later(() => import('../stages/ground/index.ts'), 'GroundPanel'),
  setout: later(() => import('../stages/setout/index.ts'), 'SetoutPanel'),
  levels: later(() => import('../stages/levels/index.ts'), 'LevelsPanel'),
  dig: DigPanel,
  water: later(() => import('../stages/water/WaterPanel.tsx'), 'WaterPanel'),
  base: later(() => import('../stages/base/BasePanel.tsx'), 'BasePanel'),
  pour: later(() => import('../stages/pour/PourPanel.tsx'), 'PourPanel'),
  backfill: later(() => import('../stages/backfill/BackfillPanel.tsx'), 'BackfillPanel'),
  log: later(() => import('../stages/log/LogPanel.tsx'), 'LogPanel'),
};

export function Side() {
  const { t } = useTranslation();
  const stage = useDesk((desk) => desk.stage);
  const Numbers = PANELS[stage];
  const long = stage === 'levels' || stage === 'ground';
  return (
    <Stack
      as="aside"
      gap={0}
      px={3.5}
      py={3}
      h={{ lg: 'full' }}
      overflowY={{ lg: 'auto' }}
      tabIndex={0}
      data-side
    >
      <NextLine />
      <Problems />
      {/* Under ground and levels much can be typed: what it all comes to stands first. */}
      {long && <Decides ranked={stage === 'levels'} />}
      <Suspense key={stage} fallback={<Small>{t('bar.opening')}</Small>}>
        <Numbers />
      </Suspense>
      {stage === 'dig' && <Decides ranked={false} />}
      {stage === 'dig' && (
        <Suspense fallback={null}>
          <Alternatives />
        </Suspense>
      )}
      {stage !== 'log' && <Cautions />}
      {stage === 'dig' && (
        <Suspense fallback={null}>
          <SpoilPanel />
          <MachinePanel />
          <TruckPanel />
          <DigJobPanel />
        </Suspense>
      )}
    </Stack>
  );
}

function Problems() {
  const { t } = useTranslation();
  const format = useFormat();
  const { problems } = useTakeoff();
  if (problems.length === 0) return null;
  return (
    <Box
      role="alert"
      borderLeftWidth="4px"
      borderStyle="solid"
      borderColor="held"
      bg="heldWash"
      p={2}
      mb={3}
      fontSize="sm"
      data-problems
    >
      {problems.slice(0, 6).map((p) => (
        <p key={p.code + p.path}>{problemText(t, format, p)}</p>
      ))}
    </Box>
  );
}

/**
 * What decides the depth of the thing picked: every rule, its level, and how far to the next.
 * @param ranked the stage itself ranks the rules
 */
function Decides({ ranked }: { ranked: boolean }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const info = useLookedAt();
  const element = plan.elements.find((e) => e.id === info?.id);
  if (!info?.decision || !element) return null;
  const { decision } = info;
  return (
    <Panel title={t('decides.title')} aside={t('decides.of', { name: element.name })}>
      <div className="decides" data-decides>
        <strong>{decision.governs && t(`decides.${decision.governs}`)}</strong>
        <p>
          {t('decides.underside', { level: format.text(info.underside, 'level') })}{' '}
          {decision.next &&
            decision.margin !== null &&
            t(decision.margin >= 0 ? 'decides.margin' : 'decides.above', {
              rule: t(`rule.${decision.next}`),
              margin: format.text(Math.abs(decision.margin), 'size'),
            })}
        </p>
        <p>
          {info.formation < info.underside
            ? t('decides.formation', {
                level: format.text(info.formation, 'level'),
                bed: info.bed?.name ?? '',
              })
            : t('decides.bare')}
        </p>
      </div>
      {!ranked && (
        <table className="ranked">
          <tbody>
            {decision.candidates.map((candidate) => (
              <tr key={candidate.rule}>
                <th scope="row">{t(`rule.${candidate.rule}`)}</th>
                <td>{format.text(candidate.level, 'level')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Panel>
  );
}

/** Said on every dig: folded, so that what is of this one is read. */
const STANDING: ReadonlySet<string> = new Set(STANDING_CODES);

function Cautions() {
  const { t } = useTranslation();
  const { cautions } = useTakeoff();
  const picked = useDesk((desk) => desk.picked);
  const stage = useDesk((desk) => desk.stage);
  const standing = cautions.filter(({ code, weight }) => weight !== 'stop' && STANDING.has(code));
  const rest = cautions.filter((caution) => !standing.includes(caution));
  const near = ({ stage: where, elements }: (typeof cautions)[number]) =>
    (picked !== null && elements.includes(picked) ? 0 : 1) + (where === stage ? 0 : 2);
  // Holds stand first whatever is looked at; the sort keeps the order of what is alike.
  const first = [...rest].sort(
    (p, q) => Number(q.weight === 'stop') - Number(p.weight === 'stop') || near(p) - near(q),
  );
  return (
    <Panel
      title={t('caution.heading')}
      aside={t('caution.count', { count: cautions.filter((c) => c.weight === 'stop').length })}
    >
      <CautionList cautions={first} />
      {standing.length > 0 && (
        <details data-standing>
          <summary>{t('caution.standing', { count: standing.length })}</summary>
          <CautionList cautions={standing} />
        </details>
      )}
    </Panel>
  );
}

function CautionList({ cautions }: { cautions: ReturnType<typeof useTakeoff>['cautions'] }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  return (
    <Stack as="ul" gap={1.5}>
      {cautions.map((caution) => {
        const { title, text } = cautionText(t, format, caution);
        const who = concerns(plan, caution);
        return (
          <CautionItem
            key={cautionKey(caution)}
            code={caution.code}
            element={caution.elements.length === 1 ? caution.elements[0]! : null}
            weight={caution.weight}
            where={caution.stage}
            lifts={caution.lifts}
            title={who ? `${title} (${who})` : title}
            text={text}
          />
        );
      })}
    </Stack>
  );
}

const CautionItem = memo(function CautionItem({
  code,
  element,
  weight,
  where,
  lifts,
  title,
  text,
}: {
  code: string;
  /** The one thing it is of, if it is of one. */
  element: string | null;
  weight: Weight;
  /** The stage it belongs to, and who lifts it. */
  where: CautionStage;
  lifts: Lifter | null;
  title: string;
  text: string;
}) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const stage = useDesk((desk) => desk.stage);
  return (
    <li className="caution" data-caution={code} data-weight={weight}>
      <strong>
        {weight === 'stop' && `${t('caution.stop')} · `}
        {title}
      </strong>{' '}
      {text}
      {lifts !== null && <Small data-lifts={lifts}>{t(`lifts.${lifts}`)}</Small>}
      {where !== stage && !STANDING.has(code) && (
        <button
          type="button"
          className="go-there"
          data-go={where}
          onClick={() => {
            if (element !== null) store.getState().pick(element);
            store.getState().go(where);
          }}
        >
          {t('caution.go', { stage: t(`stage.${where}`) })}
        </button>
      )}
      {REMEDIED.some((one) => one === code) && (
        <Suspense fallback={null}>
          <Remedy code={code as Remedied} />
        </Suspense>
      )}
    </li>
  );
});
