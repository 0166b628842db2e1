/** Slope back, bench or shore: the thing picked three ways, to choose from. */
import { Box, Flex } from '@chakra-ui/react';
import type { Support } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useLookedFor } from '../../state/ask/useLookedFor.ts';
import { useAlternatives } from '../../state/ask/whatif.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Panel } from '../fields.tsx';
import { WayFrame } from '../WayFrame.tsx';

export function Alternatives() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const picked = useDesk((desk) => desk.picked);
  const takeoff = useTakeoff();
  const index = plan.elements.findIndex((e) => e.id === picked);
  const element = plan.elements[index];
  const info = takeoff.elements[index];
  const { ref, looked } = useLookedFor();
  const ways = useAlternatives(looked ? plan : null, index);
  if (!element || !info?.live || info.bays) return null;
  const choose = (support: Support, slope: number) =>
    store.getState().edit((d) => {
      for (const e of d.elements)
        if (e.id === element.id || (element.group !== '' && e.group === element.group)) {
          e.support = support;
          if (support === 'slope') e.slope = slope;
        }
    });
  return (
    <div ref={ref}>
      <Panel title={t('ways.title')} aside={t('ways.aside', { name: element.group || element.name })}>
        {ways === null && <Small>{t('ways.working')}</Small>}
        {ways?.map((way) => {
          const here =
            info.support === way.support &&
            (way.support !== 'slope' || Math.abs(info.slope - way.slope) < 1e-9);
          const facts = [
            t('ways.dig', { volume: format.text(way.dig, 'volume'), count: way.loads }),
            ...(way.face > 0
              ? [
                  t('ways.face', {
                    area: format.text(way.face, 'area'),
                    length: format.text(way.faceLength, 'length', { decimals: 0 }),
                  }),
                ]
              : []),
            t('ways.people', { hours: format.text(way.people, 'hours') }),
          ];
          return (
            <WayFrame key={way.support} here={here} data-way={way.support}>
              <Flex justify="space-between" align="center" gap={2}>
                <strong>
                  {t(`ways.${way.support}`)}
                  {way.support === 'slope' && ` ${format.text(way.slope, 'slope')}`}
                </strong>
                {here ? (
                  <Small>{t('ways.now')}</Small>
                ) : (
                  <Button size="sm" onClick={() => choose(way.support, way.slope)}>
                    {t('ways.choose')}
                  </Button>
                )}
              </Flex>
              <Small>{facts.join(' · ')}</Small>
              {way.cost !== null && Math.abs(way.cost) >= 0.5 && (
                <Small>
                  {way.cost > 0 ? '+' : '−'}
                  {format.text(Math.abs(way.cost), 'price', { decimals: 0 })} {plan.prices.currency}
                </Small>
              )}
              {way.outside > 0.01 && (
                <Box as="strong" color="held" fontSize="xs" display="block">
                  {t('ways.outside', { area: format.text(way.outside, 'area') })}
                </Box>
              )}
              {way.hits.length > 0 && (
                <Box as="span" color="held" fontSize="xs" display="block">
                  {t('ways.hits', { names: way.hits.join(', ') })}
                </Box>
              )}
              {!way.within && (
                <Box as="span" color="held" fontSize="xs" display="block">
                  {t('ways.tooSteep', { steepest: format.text(info.rule.steepest, 'slope') })}
                </Box>
              )}
            </WayFrame>
          );
        })}
        <Small>{t('ways.note')}</Small>
      </Panel>
    </div>
  );
}
