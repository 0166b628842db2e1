/** What is dug, from neat to all of it, as one bar: a piece a cause. */
import { Box } from '@chakra-ui/react';
import { CAUSES } from '@cimiento/core';
import { scaleLinear } from 'd3-scale';
import { stack } from 'd3-shape';
import { ink } from '../../drawing/hatches.tsx';
import { coded } from '../../messages/keys.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';

const PIECES = ['neat', ...CAUSES] as const;
type Piece = (typeof PIECES)[number];
const [WIDTH, HEIGHT] = [640, 58];
const figure = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 14 } as const;
/** Narrower than this a piece has no room for its figure, px. */
const ROOM = 56;

/** @param onHatch told once a piece is hatched on the drawings, which lie behind */
export function OverdigStack({ onHatch }: { onHatch: () => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { overdig } = useTakeoff();
  const store = useDeskStore();
  const hatched = useDesk((desk) => desk.view.hatched);
  const all = PIECES.reduce((sum, piece) => sum + overdig[piece], 0);
  if (all <= 0) return null;
  const x = scaleLinear([0, all], [0, WIDTH]);
  const layers = stack<Record<Piece, number>, Piece>().keys([...PIECES])([overdig]);
  const name = (piece: Piece) => t(coded(piece === 'neat' ? 'work.neat' : `work.overdig.${piece}`));
  const hatch = (piece: Piece) => {
    store.getState().look({ hatched: piece });
    onHatch();
  };
  return (
    <Box mb={2} role="group" aria-label={t('said.stack')}>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} style={{ width: '100%', height: 'auto' }} data-chart="overdig">
        <title>{t('said.stack')}</title>
        {layers.map((layer, i) => {
          const [from, to] = layer[0]!;
          const width = x(to) - x(from);
          if (width < 0.5) return null;
          const piece = layer.key;
          return (
            // biome-ignore lint/a11y/useSemanticElements: a piece of a drawn bar cannot be a button element
            <g
              key={piece}
              data-piece={piece}
              role="button"
              tabIndex={0}
              aria-pressed={hatched === piece}
              aria-label={t('said.hatch', {
                name: name(piece),
                value: format.text(overdig[piece], 'volume'),
              })}
              style={{ cursor: 'pointer' }}
              onClick={() => hatch(piece)}
              onKeyDown={(event) => {
                if (event.key !== 'Enter' && event.key !== ' ') return;
                event.preventDefault();
                hatch(piece);
              }}
            >
              <rect
                x={x(from)}
                y={4}
                width={width}
                height={30}
                fill={ink('earth')}
                opacity={piece === 'neat' ? 0.85 : 0.5 - 0.06 * i}
                stroke={ink('ink')}
              />
              {width > ROOM && (
                <>
                  <text x={x(from) + width / 2} y={24} textAnchor="middle" fill={ink('ink')} style={figure}>
                    {format.text(overdig[piece], 'volume')}
                  </text>
                  <text x={x(from) + 2} y={50} fill={ink('soft')} style={{ ...figure, fontSize: 12 }}>
                    {name(piece).replace(/^.*: /, '')}
                  </text>
                </>
              )}
            </g>
          );
        })}
      </svg>
      <Small>{t('said.pressPiece')}</Small>
    </Box>
  );
}
