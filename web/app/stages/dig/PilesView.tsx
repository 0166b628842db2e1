/** Heaps to scale beside the dig they come from, and what each lay-down area holds. */
import { Box, Flex } from '@chakra-ui/react';
import { outlineSizes, rulesOf } from '@cimiento/core';
import { DrawingHead } from '../../drawing/DrawingHead.tsx';
import { ink } from '../../drawing/hatches.tsx';
import { within } from '../../drawing/lines.ts';
import { useSize } from '../../drawing/useSize.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';

/** Size of the words, px. */
const LABEL = 13;
const label = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: LABEL } as const;

export function PilesView({ head }: { head: React.ReactNode }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const plan = useShownPlan();
  const picked = useDesk((desk) => desk.view.area);
  const takeoff = useTakeoff();
  const [frame, { width, height }] = useSize(808, 190);
  const { areas, homeless } = takeoff.work.layDown;
  const { repose } = takeoff.pile;
  const tan = Math.tan((repose * Math.PI) / 180);
  const setback = rulesOf(plan).setback;
  const drawn = areas.map((area) => {
    const site = plan.site.areas.find((entry) => entry.id === area.id)!;
    return { area, base: outlineSizes(site.points).short };
  });
  const gap = 1.4;
  const whole = drawn.reduce((sum, { base }) => sum + base + gap, gap);
  const tallest = Math.max(1, ...drawn.map(({ area }) => area.height));
  const scale = Math.min((width - 30) / whole, (height - 62) / tallest, 60);
  const ground = height - 34;
  let at = gap;
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('piles.title')}>
      <DrawingHead>
        {head}
        <Small>
          {t('piles.repose', {
            angle: format.text(repose, 'angle'),
            setback: format.text(setback, 'length'),
          })}
        </Small>
      </DrawingHead>
      {areas.length === 0 ? (
        <Box px={3} py={2}>
          <Small fontSize="sm">
            {t('piles.none', {
              volume: format.text(takeoff.spoil.keptLoose, 'volume'),
              base: format.text(takeoff.pile.base, 'length'),
              height: format.text(takeoff.pile.height, 'length'),
              run: format.text(takeoff.pile.length, 'length', { decimals: 0 }),
            })}
          </Small>
        </Box>
      ) : (
        <Box ref={frame} flex="1" minH={0} position="relative">
          <svg
            viewBox={`0 0 ${width} ${height}`}
            role="img"
            aria-label={t('piles.title')}
            style={{ width: '100%', height: '100%', position: 'absolute', inset: 0 }}
          >
            <path d={`M0 ${ground}H${width}`} stroke={ink('ink')} strokeWidth={1.4} />
            {drawn.map(({ area, base }) => {
              const x0 = at * scale;
              at += base + gap;
              const w = base * scale;
              const run = Math.min(w / 2, (area.height / tan) * scale);
              const top = ground - area.height * scale;
              const middle = x0 + w / 2;
              const holds = `${format.text(area.holds, 'volume')} · ${format.text(area.height, 'length')}`;
              return (
                <g key={area.id} data-pile={area.id}>
                  <path
                    d={`M${x0} ${ground}L${x0 + run} ${top}H${x0 + w - run}L${x0 + w} ${ground}Z`}
                    fill={ink('earth-wash')}
                    stroke={area.tooNear || area.rehandled > 0.05 ? ink('held') : ink('earth')}
                    strokeWidth={area.id === picked ? 3 : 1.6}
                  />
                  <path
                    d={`M${x0} ${ground + 4}v5M${x0 + w} ${ground + 4}v5M${x0} ${ground + 7}H${x0 + w}`}
                    stroke={ink('ink')}
                    fill="none"
                  />
                  <text y={ground + 20} textAnchor="middle" fill={ink('ink')} style={label}>
                    {[area.name, format.text(base, 'length')].map((line, row) => (
                      <tspan key={line} x={within(middle, area.name, LABEL, width)} dy={row * 13}>
                        {`${line} `}
                      </tspan>
                    ))}
                  </text>
                  <text
                    x={within(middle, holds, LABEL, width)}
                    y={Math.max(14, top - 6)}
                    textAnchor="middle"
                    fill={ink('earth')}
                    style={label}
                  >
                    {holds}
                  </text>
                </g>
              );
            })}
          </svg>
        </Box>
      )}
      <Flex gap={3} wrap="wrap" px={3} pb={1.5} fontSize="sm">
        {areas.map((area) => (
          <Button
            key={area.id}
            size="sm"
            aria-pressed={area.id === picked}
            onClick={() => store.getState().look({ area: area.id })}
          >
            {area.name}: {format.text(area.holds, 'volume')} / {format.text(area.capacity, 'volume')}
          </Button>
        ))}
        {homeless > 0.05 && (
          <Box as="strong" color="held">
            {t('piles.homeless', { volume: format.text(homeless, 'volume') })}
          </Box>
        )}
      </Flex>
    </Flex>
  );
}
