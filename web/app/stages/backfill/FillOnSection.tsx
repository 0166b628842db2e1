/** Fill on the section, lift by lift on either side of what stands in it, and what plays it. */
import { fillUnder, inTurn, type Section, sideFacing } from '@cimiento/core';
import { bedFill } from '../../drawing/bedHatches.tsx';
import { ink } from '../../drawing/hatches.tsx';
import { closedPath, type Scale } from '../../drawing/strata.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Player } from '../../ui/Player.tsx';
import { LIFT_COLOURS } from '../base/liftColours.ts';
import { useFilling } from './useFilling.ts';

/** How long a lift is shown while it plays, ms. */
const BEAT = 500;
/** Thinner than this a lift has no room for its number, px. */
const ROOM = 13;

export function FillOnSection({ section, scale, index }: { section: Section; scale: Scale; index: number }) {
  const step = useDesk((desk) => desk.view.filled);
  const { elements } = useTakeoff();
  const fill = useFilling().elements.find(({ info }) => info.index === index);
  const info = elements[index];
  if (!fill || !info) return null;
  const { x, y } = scale;
  const { dx, dy, half } = section;
  const at = [section.x, section.y] as const;
  const sides = [
    { side: sideFacing(info.element, at, [-dx, -dy]), from: -half, to: 0, name: 'before' },
    { side: sideFacing(info.element, at, [dx, dy]), from: 0, to: half, name: 'after' },
  ];
  const laid = new Set(
    step === 0
      ? fill.sides.flatMap(({ cards }) => cards.flatMap((card) => (card.laid ? [card.name] : [])))
      : inTurn(fill)
          .slice(0, step)
          .map(({ name }) => name),
  );
  const pieces = section.dug.filter(({ owner }) => owner === index);
  return (
    <g pointerEvents="none" data-fill={laid.size}>
      {sides.map(({ side, from, to, name }) => {
        const cards = fill.sides.find((one) => one.side === side)?.cards ?? [];
        const clip = `fill-${name}`;
        return (
          <g key={name}>
            <clipPath id={clip}>
              <rect x={x(from)} y={-1e4} width={Math.max(0, x(to) - x(from))} height={2e4} />
            </clipPath>
            <g clipPath={`url(#${clip})`}>
              {cards.toReversed().map((card) => {
                const here = laid.has(card.name);
                const under = pieces.flatMap((piece) => {
                  const points = fillUnder(piece, card.top);
                  return points ? [points] : [];
                });
                return (
                  <g key={card.name} data-fill-lift={card.name} data-laid={here}>
                    <path
                      d={under.map((points) => closedPath(points, scale)).join('')}
                      fill={here ? lookOf(card.part) : ink('paper')}
                    />
                    <path
                      d={under.map(([from, , to]) => `M${x(from!)} ${y(card.top)}H${x(to!)}`).join('')}
                      stroke={ink(here && step === 0 ? LIFT_COLOURS[card.state] : 'edge')}
                      strokeWidth={here ? 1.2 : 0.8}
                      strokeDasharray={here ? undefined : '4 3'}
                    />
                  </g>
                );
              })}
            </g>
            {cards.map((card) =>
              y(card.bottom) - y(card.top) < ROOM ? null : (
                <text
                  key={card.name}
                  x={x(middleOf(section, index, (card.bottom + card.top) / 2, to > 0 ? 1 : -1))}
                  y={(y(card.bottom) + y(card.top)) / 2 + 4}
                  textAnchor="middle"
                  fill={ink('ink')}
                  stroke={ink('paper')}
                  strokeWidth={3}
                  paintOrder="stroke"
                  style={{ fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 12 }}
                >
                  {card.lift}
                </text>
              ),
            )}
          </g>
        );
      })}
    </g>
  );
}

/** Middle of the room between what stands and the face of the bottom, at a level, on a side of the cut. */
function middleOf({ boxes, dug }: Section, index: number, level: number, way: 1 | -1): number {
  const out = (s0: number, s1: number) => (way > 0 ? s1 : -s0);
  const inner = boxes
    .filter(({ element, z0, z1 }) => element === index && z0 < level && z1 > level)
    .reduce((most, { s0, s1 }) => Math.max(most, out(s0, s1)), 0);
  const outer = dug
    .filter(({ owner, flat }) => owner === index && flat)
    .reduce((most, { s0, s1 }) => Math.max(most, out(s0, s1)), inner);
  return (way * (inner + outer)) / 2;
}

/** Stone at the foot by its hatch, soil and topsoil by theirs. */
const lookOf = (part: string): string =>
  part === 'foot'
    ? bedFill('section', 'clear')
    : part === 'topsoil'
      ? 'url(#section-topsoil)'
      : ink('placed-wash');

export function FillPlayer({ index }: { index: number }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const step = useDesk((desk) => desk.view.filled);
  const fill = useFilling().elements.find(({ info }) => info.index === index);
  if (!fill) return null;
  const order = inTurn(fill);
  const steps = order.length;
  const now = order[Math.min(step, steps) - 1];
  return (
    <Player
      at={Math.min(step, steps)}
      steps={steps}
      beat={BEAT}
      label={t('backfill.playing')}
      play={t('backfill.play')}
      pause={t('rain.pause')}
      put={(filled) => store.getState().look({ filled })}
    >
      {now ? `${Math.min(step, steps)}/${steps}` : ''}
    </Player>
  );
}
