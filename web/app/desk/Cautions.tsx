/** The cautions of a job, holds first, what is said on every dig folded away. */
import { Stack } from '@chakra-ui/react';
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
import { Panel } from '../stages/fields.tsx';
import { useDesk, useDeskStore } from '../state/store.ts';
import { useShownPlan, useTakeoff } from '../state/takeoff.ts';
import { Small } from '../ui/controls.tsx';
import { useFormat } from '../ui/format.tsx';
import { later } from '../ui/later.tsx';
import { cautionKey, cautionText, concerns } from '../ui/words.ts';

const Remedy = later(() => import('./Remedy.tsx'), 'Remedy');

/** Said on every dig: folded, so that what is of this one is read. */
const STANDING: ReadonlySet<string> = new Set(STANDING_CODES);

export function Cautions() {
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
