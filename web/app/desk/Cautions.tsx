/** The cautions of a job: those of the stage a line each that opens, the others and what is always said a press away. */
import { Box, Stack } from '@chakra-ui/react';
import { type Caution, REMEDIED, type Remedied, STANDING_CODES } from '@cimiento/core';
import { memo, Suspense } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../state/store.ts';
import { useShownPlan, useTakeoff } from '../state/takeoff.ts';
import { Small } from '../ui/controls.tsx';
import { useFormat } from '../ui/format.tsx';
import { later } from '../ui/later.tsx';
import { cautionKey, cautionTitle, concerns, concernsBriefly } from '../ui/words.ts';

const CautionSays = later(() => import('./CautionSays.tsx'), 'CautionSays');
const Remedy = later(() => import('./Remedy.tsx'), 'Remedy');

/** Said on every dig: folded, so that what is of this one is read. */
const STANDING: ReadonlySet<string> = new Set(STANDING_CODES);

/** What is of this stage, of another, and of every dig; what is of the thing picked before the rest of its weight. */
function useSorted(): Readonly<Record<'here' | 'elsewhere' | 'standing', readonly Caution[]>> {
  const { cautions } = useTakeoff();
  const picked = useDesk((desk) => desk.picked);
  const stage = useDesk((desk) => desk.stage);
  const near = ({ elements }: Caution) => (picked !== null && elements.includes(picked) ? 0 : 1);
  const sorted = [...cautions].sort(
    (p, q) => Number(q.weight === 'stop') - Number(p.weight === 'stop') || near(p) - near(q),
  );
  const standing = sorted.filter(({ code, weight }) => weight !== 'stop' && STANDING.has(code));
  const rest = sorted.filter((caution) => !standing.includes(caution));
  return {
    here: rest.filter((caution) => caution.stage === stage),
    elsewhere: rest.filter((caution) => caution.stage !== stage),
    standing,
  };
}

/** What holds or warns at this stage. */
export function CautionsHere() {
  const { here } = useSorted();
  return here.length > 0 ? (
    <Box pb={3}>
      <CautionList cautions={here} />
    </Box>
  ) : null;
}

/** What holds or warns at the others, and what is said on every dig. */
export function CautionsElsewhere() {
  const { t } = useTranslation();
  const { elsewhere, standing } = useSorted();
  return (
    <Stack as="section" gap={1} pb={4} aria-label={t('caution.heading')}>
      {elsewhere.length > 0 && (
        <details data-elsewhere={elsewhere.length}>
          <summary>{t('caution.elsewhere', { count: elsewhere.length })}</summary>
          <CautionList cautions={elsewhere} />
        </details>
      )}
      {standing.length > 0 && (
        <details data-standing>
          <summary>{t('caution.standing', { count: standing.length })}</summary>
          <CautionList cautions={standing} />
        </details>
      )}
    </Stack>
  );
}

function CautionList({ cautions }: { cautions: readonly Caution[] }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  return (
    <Stack as="ul" gap={1.5}>
      {cautions.map((caution) => {
        const title = cautionTitle(t, format, caution);
        const who = concernsBriefly(t, plan, caution);
        return (
          <CautionItem
            key={cautionKey(caution)}
            caution={caution}
            title={who ? `${title} (${who})` : title}
            names={concerns(plan, caution)}
          />
        );
      })}
    </Stack>
  );
}

interface CautionProps {
  readonly caution: Caution;
  readonly title: string;
  /** All it is of, where it is not of all. */
  readonly names: string;
}

/** A takeoff makes its cautions anew: what says the same is not drawn again. */
const sameItem = (p: CautionProps, q: CautionProps): boolean =>
  p.title === q.title && p.names === q.names && JSON.stringify(p.caution) === JSON.stringify(q.caution);

const CautionItem = memo(function CautionItem({ caution, title, names }: CautionProps) {
  const { code, weight, lifts, stage: where } = caution;
  const element = caution.elements.length === 1 ? caution.elements[0]! : null;
  const { t } = useTranslation();
  const store = useDeskStore();
  const stage = useDesk((desk) => desk.stage);
  return (
    <li className="caution" data-caution={code} data-weight={weight}>
      <details>
        <summary>
          <strong>
            {weight === 'stop' && `${t('caution.stop')} · `}
            {title}
          </strong>
        </summary>
        <Suspense fallback={null}>
          <CautionSays caution={caution} />
        </Suspense>
        {lifts !== null && <Small data-lifts={lifts}>{t(`lifts.${lifts}`)}</Small>}
        {names !== '' && <Small>{t('caution.concerns', { names })}</Small>}
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
      </details>
    </li>
  );
}, sameItem);
