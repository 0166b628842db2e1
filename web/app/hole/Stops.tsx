/** What stops work, the gravest first: the morning list, what was refused, what a caution holds. One line each. */
import { Box } from '@chakra-ui/react';
import type { HoleView } from '@cimiento/core';
import { lazy, Suspense } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { holdName } from '../ui/holdWords.ts';
import { wordsNow } from '../ui/later.tsx';
import { useMorning } from './morningState.ts';
import { Word } from './parts.tsx';
import { useWhere } from './where.ts';

// Its words come with the rest.
const CautionStops = lazy(async () => {
  const [made] = await Promise.all([import('./CautionStops.tsx'), wordsNow().catch(() => {})]);
  return { default: made.CautionStops };
});

/** @param element what is asked of; null: of the job */
export function Stops({ view, element }: { view: HoleView; element: string | null }) {
  const { t } = useTranslation();
  const { go } = useWhere();
  const morning = useMorning(view);
  const of = (id: string | null) => element === null || id === null || id === element;
  const refused = view.holds.filter((hold) => hold.state === 'refused' && of(hold.element));
  const covered = view.covered.filter((hold) => of(hold.element));
  const stops = view.stops.filter(
    ({ elements }) => element === null || elements.length === 0 || elements.includes(element),
  );
  return (
    <Box display="grid" gap={1.5} data-stops>
      {morning.state !== 'good' && (
        <Word tone="stop" data-morning={morning.state} onPress={() => go({ doing: 'morning' })}>
          {morning.state === 'none'
            ? t('morning.none')
            : morning.state === 'again'
              ? t('morning.again', { what: t(`morning.after.${morning.after ?? 'rain'}`) })
              : t('morning.bad', { items: morning.bad.map((item) => t(`morning.item.${item}`)).join(', ') })}
        </Word>
      )}
      {refused.map((hold) => (
        <Word
          tone="stop"
          key={`${hold.hold}/${hold.element}`}
          data-refused={hold.element ?? ''}
          onPress={() => go({ doing: 'hold', hold: hold.hold, at: hold.element })}
        >
          {holdName(t, view, hold)}: {t('hold.state.refused')}. {hold.visit?.value.what}
        </Word>
      ))}
      {covered.length > 0 && (
        <Word tone="stop" data-covered={covered.length} onPress={() => go({ doing: 'holds' })}>
          {t('hold.covered', { what: covered.map((hold) => holdName(t, view, hold)).join(', ') })}
        </Word>
      )}
      {stops.length > 0 && (
        <Suspense fallback={null}>
          <CautionStops view={view} stops={stops} whole={element === null} />
        </Suspense>
      )}
    </Box>
  );
}
