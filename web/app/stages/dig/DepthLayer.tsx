/** The map of cut depth: the opening in bands of equal depth, and what the pointer stands over. */
import { Box, Flex } from '@chakra-ui/react';
import { type DepthBand, depthAt, depthBands, type Solid } from '@cimiento/core';
import { useMemo } from 'react';
import { ink } from '../../drawing/hatches.tsx';
import { niceStep, polygonPath, type View } from '../../drawing/view.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { useFormat } from '../../ui/format.tsx';

/** More bands than this cannot be told apart. */
const MOST_BANDS = 10;

function useBands(): readonly DepthBand[] {
  const { system } = useFormat();
  const { solid, elements } = useTakeoff();
  return useMemo(() => {
    const deepest = Math.max(0.1, ...elements.map((e) => e.depth));
    return depthBands(solid, niceStep(deepest / MOST_BANDS, system));
  }, [solid, elements, system]);
}

/** The deeper the darker; the same earth all through. */
const shade = (k: number, count: number) => 0.14 + (0.8 * k) / Math.max(1, count - 1);

export function DepthLayer({ view }: { view: View }) {
  const bands = useBands();
  return (
    <g pointerEvents="none" data-depths={bands.length}>
      {bands.map((band, k) => {
        const d = band.pieces.map((piece) => polygonPath(view, piece)).join('');
        return (
          <g key={band.from} opacity={shade(k, bands.length)}>
            <path d={d} fill={ink('earth')} stroke={ink('earth')} strokeWidth={0.7} />
          </g>
        );
      })}
    </g>
  );
}

/** What the shades mean, and how deep it is under the pointer. */
export function DepthLegend({ at }: { at: readonly [number, number] | null }) {
  const { t } = useTranslation();
  const format = useFormat();
  const bands = useBands();
  const metric = format.system === 'metric';
  const short = metric ? { decimals: 1 } : {};
  const wide = metric ? 34 : 42;
  const string = useDesk((desk) => desk.plan.levels.string);
  const { solid } = useTakeoff();
  return (
    <Box
      position="absolute"
      right={2}
      bottom={1}
      bg="sheet"
      borderWidth="1px"
      borderStyle="solid"
      borderColor="edge"
      px={2}
      py={1}
      fontSize="xs"
      pointerEvents="none"
    >
      <Flex data-depth-bands={bands.length}>
        {bands.map((band, k) => (
          <Box key={band.from} w={`${wide}px`}>
            <svg width={wide} height="11" aria-hidden style={{ display: 'block' }}>
              <rect width={wide} height="11" fill={ink('earth')} opacity={shade(k, bands.length)} />
            </svg>
            {/* Where the band ends. */}
            <Box textAlign="right" fontFamily="figure" fontWeight={500}>
              {metric && k < bands.length - 1
                ? format.parts(band.to, 'length', short).number
                : format.text(band.to, 'length', short)}
            </Box>
          </Box>
        ))}
      </Flex>
      <Box data-depth-here>{at ? <Here at={at} solid={solid} string={string} /> : t('depths.point')}</Box>
    </Box>
  );
}

function Here({
  at: [x, y],
  solid,
  string,
}: {
  at: readonly [number, number];
  solid: Solid;
  string: number;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const here = depthAt(solid, x, y);
  return here === null
    ? t('depths.none')
    : t('depths.here', {
        depth: format.text(here.depth, 'length'),
        string: format.text(string - here.level, 'length'),
      });
}
