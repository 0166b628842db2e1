import { describe, expect, it } from 'vitest';
import { rectangle } from '../../geometry/index.ts';
import { seeded } from '../../testing.ts';
import { checkOrder, MOST_EXACT, type OrderInput, orderTrenches, type Trench } from './order.ts';

type Point = readonly [number, number];

/** A straight trench 1.2 m wide at the top. */
function trench(id: string, from: Point, to: Point, more: Partial<Trench> = {}): Trench {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy);
  return {
    id,
    from,
    to,
    half: 0.6,
    openings: [
      rectangle((from[0] + to[0]) / 2, (from[1] + to[1]) / 2, length + 0.6, 1.2, Math.atan2(dy, dx)),
    ],
    loose: 10,
    areas: [],
    ...more,
  };
}
const site = (trenches: Trench[], more: Partial<OrderInput> = {}): OrderInput => ({
  trenches,
  machine: { width: 2.2, reach: 6.5 },
  boundary: [],
  exits: [],
  overlaps: [],
  ...more,
});
/** A plot with one way out, in the middle of its south side. */
const plot = (x0: number, y0: number, x1: number, y1: number): Partial<OrderInput> => ({
  boundary: [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ],
  exits: [[(x0 + x1) / 2, y0 + 0.6]],
});

const permutations = (list: readonly number[]): number[][] =>
  list.length <= 1
    ? [[...list]]
    : list.flatMap((head, i) =>
        permutations([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [head, ...rest]),
      );

/** The slow twin: every order walked. */
function slowest(input: OrderInput): number | null {
  let best: number | null = null;
  for (const order of permutations(input.trenches.map((_, i) => i))) {
    const { cost } = checkOrder(input, order);
    if (cost !== null && (best === null || cost < best)) best = cost;
  }
  return best;
}

const house = () =>
  site(
    [
      trench('north', [0, 8.4], [14.4, 8.4]),
      trench('south', [0, 0], [14.4, 0]),
      trench('west', [0, 0], [0, 8.4]),
      trench('east', [14.4, 0], [14.4, 8.4]),
      trench('cross', [6, 0], [6, 8.4]),
    ],
    plot(-8, -8, 22, 16),
  );

describe('the order of digging', () => {
  it('of a house is found, and no order of the five is cheaper', () => {
    const found = orderTrenches(house());
    if (!found.ok) throw new Error(JSON.stringify(found));
    expect(found.exact).toBe(true);
    expect(new Set(found.steps.map((s) => s.trench)).size).toBe(5);
    expect(found.cost).toBeCloseTo(slowest(house())!, 6);
  });

  it('the far side goes before the side by the gate', () => {
    const found = orderTrenches(house());
    if (!found.ok) throw new Error();
    const turn = (id: string) => found.steps.findIndex((s) => house().trenches[s.trench]!.id === id);
    expect(turn('north')).toBeLessThan(turn('south'));
  });

  it('random jobs: the exact search and the slow twin agree, on cost and on whether there is one', () => {
    const next = seeded(11);
    let without = 0;
    for (let job = 0; job < 14; job++) {
      const trenches = Array.from({ length: 4 }, (_, i) => {
        const [x, y] = [next() * 14, next() * 10];
        const angle = next() < 0.5 ? 0 : Math.PI / 2;
        const length = 4 + next() * 8;
        return trench(`t${i}`, [x, y], [x + length * Math.cos(angle), y + length * Math.sin(angle)]);
      });
      const input = site(trenches, plot(-3, -3.5, 23, 19));
      const found = orderTrenches(input);
      const slow = slowest(input);
      if (!found.ok) without++;
      expect(found.ok ? found.cost : null).toBeCloseTo(slow as number, 6);
    }
    expect(without).toBeLessThan(14);
  }, 60_000);

  it('a plot with a strip to drive on along one side only is dug towards it', () => {
    // 16 m wide, walls 0.5 m from the plot: the machine cannot pass beside the far trench.
    const input = site(
      [trench('back', [1, 9], [15, 9]), trench('front', [1, 3], [15, 3])],
      plot(0, -4, 16, 10.5),
    );
    const found = orderTrenches(input);
    if (!found.ok) throw new Error(JSON.stringify(found));
    expect(found.steps.map((s) => input.trenches[s.trench]!.id)).toEqual(['back', 'front']);
    const wrong = checkOrder(input, [1, 0]);
    expect(wrong.cost).toBeNull();
    expect(wrong.clashes[0]).toMatchObject({ code: 'blocked', trench: 0, by: 1 });
  });

  it('when no order exists it says so, and names the trench in the way', () => {
    // A trench right across the mouth of the plot, nearer to the gate than a machine is wide:
    // it cannot be dug from the gate side, and from inside the machine is shut in.
    const input = site([trench('mouth', [0, 0.4], [12, 0.4]), trench('inner', [3, 9], [9, 9])], {
      boundary: [
        [0, -0.6],
        [12, -0.6],
        [12, 14],
        [0, 14],
      ],
      exits: [[6, -0.5]],
    });
    const found = orderTrenches(input);
    if (found.ok) throw new Error('an order was found');
    expect(found.blocking.map((i) => input.trenches[i]!.id)).toEqual(['mouth']);
    expect(slowest(input)).toBeNull();
    // Bridged or dug by hand, the rest can be done.
    expect(orderTrenches({ ...input, trenches: [input.trenches[1]!] }).ok).toBe(true);
  });

  it('spoil is not put where something is still to be dug, when it can be helped', () => {
    const input = site(
      [
        trench('a', [0, 0], [8, 0], { areas: [0], loose: 20 }),
        trench('b', [0, 5], [8, 5], { areas: [0], loose: 20 }),
      ],
      { overlaps: [[1]] },
    );
    const found = orderTrenches(input);
    if (!found.ok) throw new Error();
    // b lies under the area: dug first, nothing is moved twice.
    expect(found.steps.map((s) => input.trenches[s.trench]!.id)).toEqual(['b', 'a']);
    expect(found.rehandled).toBe(0);
    expect(checkOrder(input, [0, 1]).steps[0]!.rehandled).toBe(20);
  });

  it('a ramp is dug out of its pit, backing away, and never before it', () => {
    const input = site([
      trench('ramp', [6, 2], [16, 2], { after: 1, outwards: true }),
      trench('pit', [0, 2], [5, 2]),
    ]);
    const found = orderTrenches(input);
    if (!found.ok) throw new Error(JSON.stringify(found));
    expect(found.steps.map((s) => input.trenches[s.trench]!.id)).toEqual(['pit', 'ramp']);
    expect(found.steps[1]!.mode.finish[0]).toBeGreaterThan(16);
    expect(checkOrder(input, [0, 1]).clashes[0]).toEqual({ code: 'early', trench: 0, by: 1 });
  });

  it('nothing to dig is an order too', () => {
    expect(orderTrenches(site([]))).toMatchObject({ ok: true, steps: [], cost: 0 });
  });

  it('sixty trenches: within 5 % of the best a search ten times as long finds', () => {
    const next = seeded(3);
    const trenches = Array.from({ length: 60 }, (_, i) => {
      const [x, y] = [(i % 10) * 7, Math.floor(i / 10) * 7];
      return trench(`p${i}`, [x, y], [x + 2 + next() * 2, y]);
    });
    const input = site(trenches, plot(-6, -6, 72, 44));
    const quick = orderTrenches(input, undefined, 100);
    const long = orderTrenches(input, undefined, 1000);
    if (!quick.ok || !long.ok) throw new Error();
    expect(trenches.length).toBeGreaterThan(MOST_EXACT);
    expect(new Set(quick.steps.map((s) => s.trench)).size).toBe(60);
    expect(quick.cost / long.cost).toBeLessThan(1.05);
  }, 120_000);
});
