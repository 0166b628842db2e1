import { describe, expect, it } from 'vitest';
import { usualFill } from '../takeoff/index.ts';
import { demo, honeyHouse, logged, named, pad, plainPlan, ramp, strip, tank } from '../testing.ts';
import {
  compute,
  digSequence,
  drawnOf,
  orderProblem,
  sectionThrough,
  setoutSheet,
  typedOrder,
} from './index.ts';

describe('the demos’ site work', () => {
  it('honey house: every kept m³ has a place, nothing is moved twice', () => {
    const { work, spoil } = compute(honeyHouse());
    const held = work.layDown.areas.reduce((sum, area) => sum + area.holds, 0);
    const topsoil = spoil.strata
      .filter((s) => s.soil.typical.backfill === 'topsoil')
      .reduce((sum, s) => sum + s.keptLoose, 0);
    expect(held).toBeCloseTo(spoil.keptLoose + topsoil, 6);
    expect(work.layDown).toMatchObject({ homeless: 0, rehandled: 0 });
    expect(work.layDown.areas.some((area) => area.tooNear)).toBe(false);
    // Rock on the plan slows the machine; its hours are those of its strata together.
    expect(work.machines[0]!.slowed).toContain('obstacle');
    const { strata, hours } = work.machines[0]!;
    // Nor does it dig about the buried cable.
    const dug = strata.reduce((sum, s) => sum + s.volume, 0);
    expect(work.hand.services).toBeGreaterThan(0);
    expect(hours).toBeCloseTo(
      strata.reduce((sum, s) => sum + s.volume / s.output.rate, 0) * (1 - work.hand.services / dug),
      9,
    );
  });
  it('loads have a chance that grows, and nine in ten is at or past the even one', () => {
    for (const chance of compute(honeyHouse()).work.chances) {
      const shares = chance.chances.map((entry) => entry.chance);
      expect([...shares].sort((p, q) => p - q)).toEqual(shares);
      expect(chance.sure).toBeGreaterThanOrEqual(chance.chances[0]!.loads);
    }
  });
  it('frozen ground takes the machine longer', () => {
    const plan = honeyHouse();
    const before = compute(plan).work.machines[0]!.hours;
    const frozen = logged('frozen', { depth: 0.6, from: 'typed', when: '' });
    expect(compute(plan, [frozen]).work.machines[0]!.hours).toBeGreaterThan(before);
  });
  it('cheese vault: one box, dug before its ramp; concrete is its shell', () => {
    const plan = demo('cheese-vault');
    const takeoff = compute(plan);
    expect(takeoff.problems).toEqual([]);
    const shell = 7.2 * 3.8 * 2.9 - 6.8 * 3.4 * (2.9 - 0.25 - 0.2);
    expect(takeoff.concrete.neat).toBeCloseTo(shell, 9);
    expect(takeoff.elements[0]!.decision?.governs).toBe('drawn');
    const order = digSequence(plan, takeoff);
    if (!order.ok) throw new Error();
    expect(order.steps.map((step) => step.id)).toEqual(['B1', 'A1']);
    // There is most of the silty sand: buckets fill as in common earth.
    expect(usualFill(plan, takeoff.spoil)).toBe(1.05);
  });
  it('a box is cut along its longer side, walls and roof and base', () => {
    const plan = demo('cheese-vault');
    const section = sectionThrough(plan, compute(plan), 0)!;
    const walls = section.boxes.filter((box) => box.what === 'rising');
    expect(walls).toHaveLength(3);
    const roof = walls.find((box) => box.s1 - box.s0 > 1)!;
    expect(roof.z1).toBeCloseTo(96.75 + 2.9, 9);
    expect(roof.z1 - roof.z0).toBeCloseTo(0.2, 9);
    expect(Math.abs(section.dy)).toBeLessThan(1e-9);
  });
});

describe('the order’s problem', () => {
  const plan = () =>
    plainPlan((p) => {
      p.elements = named(
        strip([
          [0, 0],
          [10, 0],
        ]),
        pad(14, 5, 1, 1),
        tank(
          [
            [20, 0],
            [26, 0],
            [26, 4],
            [20, 4],
          ],
          { level: 98 },
        ),
        ramp('E3', [26, 2], 0),
      );
      p.site.areas = [
        {
          id: 'near',
          name: 'Near',
          use: 'spoil',
          points: [
            [0, 4],
            [6, 4],
            [6, 8],
            [0, 8],
          ],
        },
        {
          id: 'far',
          name: 'Far',
          use: 'spoil',
          points: [
            [200, 4],
            [206, 4],
            [206, 8],
            [200, 8],
          ],
        },
        {
          id: 'soil',
          name: 'Soil',
          use: 'topsoil',
          points: [
            [0, -8],
            [6, -8],
            [6, -4],
            [0, -4],
          ],
        },
      ];
    });
  it('a trench may use what is in reach for spoil, and only that', () => {
    const { input, ids } = orderProblem(plan(), compute(plan()));
    expect(ids).toEqual(['E1', 'E2', 'E3', 'E4']);
    expect(input.trenches[0]!.areas).toEqual([0]);
    expect(input.trenches[3]).toMatchObject({ after: 2, outwards: true });
    expect(input.trenches[2]!.from[1]).toBeCloseTo(2, 9);
    expect(input.exits).toEqual([]);
  });
  it('an order typed for what is gone keeps the rest, and puts what is new at the end', () => {
    expect(typedOrder(['E2', 'gone', 'E1'], ['E1', 'E2', 'E3'])).toEqual([1, 0, 2]);
  });
  it('a ramp typed before its pit is named', () => {
    const p = plan();
    p.dig.order = ['E4', 'E3', 'E1', 'E2'];
    expect(digSequence(p, compute(p))).toMatchObject({
      ok: false,
      typed: true,
      clashes: [{ code: 'early', id: 'E4', by: 'E3' }],
    });
  });
});

describe('set out of a plan', () => {
  it('boards stand clear of the dig of the whole job; blocked ones say by what', () => {
    const plan = honeyHouse();
    const sheet = setoutSheet(plan, compute(plan));
    expect(sheet.points.filter((p) => p.kind === 'corner')).toHaveLength(6);
    expect(
      sheet.boards.lines.every((line) => line.boards.every((board) => board.beyond >= plan.setout.offset)),
    ).toBe(true);
    plan.site.paths = [
      {
        id: 'w',
        name: 'Wheel way',
        width: 30,
        points: [
          [-20, 4],
          [40, 4],
        ],
      },
    ];
    const blocked = setoutSheet(plan, compute(plan)).boards.lines.flatMap((line) => line.boards);
    expect(blocked.some((board) => board.blocked === 'Wheel way')).toBe(true);
  });
  it('what is drawn for others: every element’s axis, footing and bottom, one dig edge at least', () => {
    const plan = demo('cheese-vault');
    const drawn = drawnOf(plan, compute(plan));
    const on = (layer: string) => drawn.filter((line) => line.layer === layer);
    expect(on('axis')).toHaveLength(2);
    expect(on('footing').map((line) => line.name)).toEqual(['Vault']);
    expect(on('opening').length).toBeGreaterThan(0);
    expect(on('pin')).toHaveLength(4);
    expect(on('string').every((line) => line.level !== null)).toBe(true);
    expect(on('site').map((line) => line.name)).toEqual(['boundary', 'North heap', 'Topsoil']);
  });
});
