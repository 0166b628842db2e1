/** A small plan to pick from, or to tap where the rod stands; high and low as they were shot. */
import type { HoleThing } from '@cimiento/core';
import { useMemo } from 'react';

type Place = readonly [number, number];

interface Fit {
  readonly x: (east: number) => number;
  readonly y: (north: number) => number;
  readonly back: (x: number, y: number) => Place;
  readonly height: number;
  readonly scale: number;
}

const WIDTH = 360;
/** A line of names, px. */
const LINE = 16;

/** Fits things into a width, whichever way they lie. */
function fitOf(things: readonly HoleThing[], most: number): Fit {
  const flat = things.flatMap(({ opening, bottom }) => [
    ...opening.flat(),
    ...bottom.flatMap(({ plan }) => [...plan]),
  ]);
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let i = 0; i < flat.length; i += 2) {
    x0 = Math.min(x0, flat[i]!);
    x1 = Math.max(x1, flat[i]!);
    y0 = Math.min(y0, flat[i + 1]!);
    y1 = Math.max(y1, flat[i + 1]!);
  }
  const pad = 0.06 * Math.max(x1 - x0, y1 - y0, 1);
  const [w, h] = [x1 - x0 + 2 * pad, y1 - y0 + 2 * pad];
  const scale = Math.min(WIDTH / w, most / h);
  const height = h * scale;
  const left = (WIDTH - w * scale) / 2;
  return {
    scale,
    height,
    x: (east) => left + (east - x0 + pad) * scale,
    y: (north) => height - (north - y0 + pad) * scale,
    back: (x, y) => [(x - left) / scale + x0 - pad, (height - y) / scale + y0 - pad],
  };
}

const sizeOf = ({ bottom }: HoleThing) =>
  bottom.reduce((sum, { plan }) => {
    const [xs, ys] = [0, 1].map((k) => plan.filter((_, i) => i % 2 === k));
    return sum + (Math.max(...xs!) - Math.min(...xs!)) * (Math.max(...ys!) - Math.min(...ys!));
  }, 0);

const pathOf = (fit: Fit, polygon: readonly number[]) => {
  let out = '';
  for (let i = 0; i < polygon.length; i += 2)
    out += `${i === 0 ? 'M' : 'L'}${fit.x(polygon[i]!).toFixed(1)} ${fit.y(polygon[i + 1]!).toFixed(1)}`;
  return `${out}Z`;
};

export function MiniPlan({
  things,
  picked,
  onPick,
  onTap,
  next,
  tapped,
  most = 260,
  label,
}: {
  things: readonly HoleThing[];
  picked: string | null;
  onPick?: (id: string) => void;
  onTap?: (at: Place) => void;
  /** Where the rod goes next. */
  next?: Place | null;
  tapped?: Place | null;
  most?: number;
  label: string;
}) {
  const fit = useMemo(() => fitOf(things, most), [things, most]);
  // What is large lies under what is small, or that could not be pressed.
  const inOrder = useMemo(() => [...things].sort((p, q) => sizeOf(q) - sizeOf(p)), [things]);
  // A name that would stand on another is left to the list.
  const named = useMemo(() => {
    const taken: { x: number; y: number; w: number }[] = [];
    const out = new Set<string>();
    if (things.length < 2) return out;
    for (const { id, name, label: at } of things) {
      const spot = { x: fit.x(at[0]), y: fit.y(at[1]), w: 4 + 8 * name.length };
      const free = taken.every(
        ({ x, y, w }) => Math.abs(x - spot.x) > (w + spot.w) / 2 || Math.abs(y - spot.y) > LINE,
      );
      if (!free) continue;
      taken.push(spot);
      out.add(id);
    }
    return out;
  }, [things, fit]);
  if (things.length === 0) return null;
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the list beside it picks by keyboard
    <svg
      viewBox={`0 0 ${WIDTH} ${fit.height}`}
      width="100%"
      role="img"
      aria-label={label}
      data-hole-plan
      style={{ display: 'block', touchAction: 'manipulation' }}
      onClick={(event) => {
        if (!onTap) return;
        const box = event.currentTarget.getBoundingClientRect();
        const share = WIDTH / box.width;
        onTap(fit.back((event.clientX - box.left) * share, (event.clientY - box.top) * share));
      }}
    >
      {things.map(({ id, opening }) =>
        opening.map((polygon, i) => (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: pieces are known by their place
            key={`${id}${i}`}
            d={pathOf(fit, polygon)}
            fill="var(--chakra-colors-rule)"
          />
        )),
      )}
      {inOrder.map((thing) => {
        const on = thing.id === picked;
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: the list beside it picks by keyboard
          <g key={thing.id} data-thing={thing.id} onClick={() => onPick?.(thing.id)}>
            {thing.bottom.map(({ plan }, i) => (
              <path
                // biome-ignore lint/suspicious/noArrayIndexKey: pieces are known by their place
                key={i}
                d={pathOf(fit, plan)}
                fill={on ? 'var(--chakra-colors-earth-wash)' : 'var(--chakra-colors-sheet)'}
                stroke="var(--chakra-colors-ink)"
                strokeWidth={on ? 2.5 : 1}
              />
            ))}
            {thing.map.map(({ plan, low }, i) => {
              const [x, y] = [plan[0]! + plan[2]! + plan[4]!, plan[1]! + plan[3]! + plan[5]!].map(
                (v) => v / 3,
              );
              const deep = low.a * x! + low.b * y! + low.c;
              return (
                <path
                  // biome-ignore lint/suspicious/noArrayIndexKey: pieces are known by their place
                  key={`m${i}`}
                  d={pathOf(fit, plan)}
                  fill={deep > 0 ? 'var(--chakra-colors-water)' : 'var(--chakra-colors-earth)'}
                  fillOpacity={Math.min(0.75, 0.12 + Math.abs(deep) * 9)}
                />
              );
            })}
            {thing.shots.map(
              ({ id, place, verdict, doubted }) =>
                place && (
                  <g key={id}>
                    <circle
                      cx={fit.x(place[0])}
                      cy={fit.y(place[1])}
                      r={4}
                      fill={doubted ? 'none' : 'var(--chakra-colors-ink)'}
                      stroke="var(--chakra-colors-ink)"
                      strokeDasharray={doubted ? '2 2' : undefined}
                    />
                    {verdict && verdict.word !== 'good' && (
                      <circle
                        cx={fit.x(place[0])}
                        cy={fit.y(place[1])}
                        r={8}
                        fill="none"
                        stroke="var(--chakra-colors-held)"
                        strokeWidth={2}
                      />
                    )}
                  </g>
                ),
            )}
            {named.has(thing.id) && (
              <text
                x={fit.x(thing.label[0])}
                y={fit.y(thing.label[1]) + 5}
                textAnchor="middle"
                fontSize="15"
                fontWeight="600"
                fill="var(--chakra-colors-ink)"
                stroke="var(--chakra-colors-sheet)"
                strokeWidth={4}
                paintOrder="stroke"
              >
                {thing.name}
              </text>
            )}
          </g>
        );
      })}
      {next && <Cross at={next} fit={fit} />}
      {tapped && <Cross at={tapped} fit={fit} />}
    </svg>
  );
}

function Cross({ at, fit }: { at: Place; fit: Fit }) {
  const [x, y] = [fit.x(at[0]), fit.y(at[1])];
  return (
    <path
      data-next
      d={`M${x - 11} ${y}H${x + 11}M${x} ${y - 11}V${y + 11}`}
      stroke="var(--chakra-colors-held)"
      strokeWidth={3}
    />
  );
}
