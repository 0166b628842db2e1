/** Whether the box picked floats when it is empty, state by state. */
import { Box, Flex } from '@chakra-ui/react';
import { FLOAT_SAFE, floatsOf } from '@cimiento/core';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useShownPlan, useTakeoff } from '../../../state/takeoff.ts';
import { Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { Panel } from '../../fields.tsx';
import { WaitsToBeSeen } from '../../WaitsToBeSeen.tsx';

export function FloatPanel({ element }: { element: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const info = useTakeoff().elements.find((e) => e.id === element);
  const box = info && floatsOf(plan, info);
  if (!info || !box) return null;
  const { water, underside, states } = box;
  const safe = (safety: number | null) => safety === null || safety >= FLOAT_SAFE;
  const from = states.findLastIndex(({ safety }) => !safe(safety)) + 1;
  return (
    <Panel title={t('rain.float', { name: info.element.name })} aside={t('rain.floatAside')}>
      {water === null && (
        <Small color="held" data-float="unknown">
          {t('rain.floatUnknown')}
        </Small>
      )}
      {water !== null &&
        states.map(({ state, weight, safety, ballast, floatsAt }) => (
          <Box
            key={state}
            borderLeftWidth="3px"
            borderStyle="solid"
            borderColor={safe(safety) ? 'placed' : 'held'}
            pl={2}
            fontSize="sm"
            data-float={state}
            data-safe={safe(safety)}
          >
            <Flex justify="space-between" gap={2}>
              <strong>{t(`rain.floatState.${state}`)}</strong>
              <Box as="span" fontFamily="figure" fontWeight={600}>
                {safety === null
                  ? t('rain.floatNone')
                  : t('rain.floatLine', {
                      weight: format.text(weight, 'load'),
                      safety: format.text(safety, 'number'),
                    })}
              </Box>
            </Flex>
            <Small>
              {[
                ...(ballast > 0 ? [t('rain.floatBallast', { ballast: format.text(ballast, 'load') })] : []),
                ...(floatsAt === null
                  ? []
                  : [t('rain.floatAt', { level: format.text(underside + floatsAt, 'level') })]),
              ].join(' · ')}
            </Small>
          </Box>
        ))}
      {water !== null && from > 0 && (
        <strong>
          {from < states.length
            ? t('rain.pumpUntil', { state: t(`rain.floatState.${states[from]!.state}`) })
            : t('rain.pumpAlways')}
        </strong>
      )}
      <WaitsToBeSeen of={({ kind, element }) => kind === 'pump' && element === info.id} />
      {water !== null && <Small>{t('rain.floatAgainst', { level: format.text(water, 'level') })}</Small>}
    </Panel>
  );
}
