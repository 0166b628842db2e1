/**
 * Nothing typed is passed over: every value of a soil, the water or a material moves what it should, in made-up
 * jobs of every kind; and every remedy that is offered lifts its caution.
 */
import { describe, expect, it } from 'vitest';
import { groundModel } from '../ground/index.ts';
import type { Plan } from '../plan/schema.ts';
import { floatsOf } from '../takeoff/index.ts';
import { drawnCases, named, pad, plainPlan, seeded, soilsDown, tank } from '../testing.ts';
import { nightOf } from './night/night.ts';
import { compute } from './pipeline/compute.ts';
import type { Takeoff } from './pipeline/takeoff.ts';
import { mixedJob } from './testing.ts';
import { REMEDIED } from './what-if/remedied.ts';
import { remedyCost, remedyFor } from './what-if/remedies.ts';

/** Each is worked out some thirty times. */
const JOBS = drawnCases(300, 12);

/** A made-up job with its water, its winter and what lies under pressure all known. */
function known(seed: number): Plan {
  const next = seeded(seed + 9000);
  const plan = mixedJob(seed);
  plan.ground.water = 98.6 + next();
  plan.ground.confined = { top: 95.5 + next(), level: 99.5 + next() };
  plan.ground.frost.local = null;
  plan.ground.frost.climate = {
    index: 400 + 300 * next(),
    days: 110,
    mean: 8,
    nFactor: 0.7,
    record: [],
    shape: [],
  };
  return plan;
}

/** All that is said of a job, but for how it is typed. */
const said = ({ figures, cautions, holes, frost, pile, spoil, elements, beds, inflow }: Takeoff): string =>
  JSON.stringify([
    Object.values(figures).map(({ value, sub }) => [value, sub]),
    cautions,
    holes.map(({ k }) => k),
    [frost.depth, frost.group],
    pile,
    [spoil.keptLoose, spoil.hauledMass, spoil.shortfall],
    elements.map(({ rule, slab }) => [rule, slab]),
    beds.map(({ layers }) => layers.map(({ mass, loose, lifts }) => [mass, loose, lifts])),
    inflow,
  ]);

type Soil = Takeoff['soils'][number];
type Values = Plan['ground']['soils'][number]['values'];
interface Typed {
  readonly value: (soil: Soil) => Partial<Values>;
  /** Where it acts: only there it must. */
  readonly acts: (takeoff: Takeoff, soil: Soil, plan: Plan) => boolean;
}
const stratum = (takeoff: Takeoff, soil: Soil) => takeoff.spoil.strata[soil.index]!;
/** Depth of its top at the log. */
const topOf = (plan: Plan, { layer }: Soil) =>
  plan.ground.logs[0]!.layers.find((one) => one.soil === layer.id)!.top;

const SOIL_VALUES: Readonly<Record<string, Typed>> = {
  swell: { value: ({ swell }) => ({ swell: swell * 1.2 }), acts: (t, soil) => stratum(t, soil).bank > 1e-3 },
  // Topsoil goes back on top whether there is room under it or not.
  shrink: {
    value: ({ shrink }) => ({ shrink: shrink * 1.5 }),
    acts: (t, soil) => {
      const { keptBank } = stratum(t, soil);
      const fills = keptBank * (1 - 1.5 * soil.shrink);
      return keptBank > 1e-3 && (soil.typical.backfill !== 'topsoil' || fills < t.spoil.backfill);
    },
  },
  density: {
    value: ({ density }) => ({ density: density * 1.1 }),
    acts: (t, soil) => stratum(t, soil).hauledBank > 1e-3,
  },
  // The flattest of the job's soils rules the heap.
  repose: { value: () => ({ repose: 12 }), acts: (t) => t.spoil.keptLoose > 1e-3 },
  permeability: {
    value: ({ k }) => ({ permeability: k[1] * 3 }),
    acts: (t, soil, plan) =>
      t.holes.some(({ elements, head, holdLevel, held }) => {
        const [tight, water] = [holdLevel - held, holdLevel - held + head];
        const model = groundModel(plan);
        return elements.some((i) =>
          t.elements[i]!.places.some(([x, y]) => {
            const ground = model.level(x, y);
            return model
              .column(x, y)
              .some(
                (layer) =>
                  layer.soil.index === soil.index &&
                  Math.min(ground - layer.top, water) - Math.max(ground - layer.bottom, tight) > 0.01,
              );
          }),
        );
      }),
  },
  dryDensity: {
    value: ({ dryDensity }) => ({ dryDensity: dryDensity * 0.7 }),
    acts: (t, soil, plan) => topOf(plan, soil) < (t.frost.computed ?? 0) - 0.05,
  },
  moisture: {
    value: ({ moisture }) => ({ moisture: moisture * 0.7 }),
    acts: (t, soil, plan) => topOf(plan, soil) < (t.frost.computed ?? 0) - 0.05,
  },
};

describe('what is typed', () => {
  it('of a soil moves what it should, in every job it acts in', () => {
    const passed: string[] = [];
    const times: Record<string, number> = {};
    for (let seed = 1; seed <= JOBS; seed++) {
      const plan = known(seed);
      const before = compute(plan);
      const told = said(before);
      for (const soil of before.soils)
        for (const [name, { value, acts }] of Object.entries(SOIL_VALUES)) {
          if (!acts(before, soil, plan)) continue;
          times[name] = (times[name] ?? 0) + 1;
          const changed = structuredClone(plan);
          Object.assign(changed.ground.soils[soil.index]!.values, value(soil));
          if (said(compute(changed)) === told) passed.push(`seed ${seed}: ${name} of ${soil.layer.id}`);
        }
    }
    expect(passed).toEqual([]);
    for (const name of Object.keys(SOIL_VALUES)) expect(times[name] ?? 0, name).toBeGreaterThan(JOBS / 4);
  }, 600_000);

  it('of how a side stands beats what is typical of the kind', () => {
    const rule = (values: Partial<Values>) =>
      compute(
        plainPlan((p) => {
          soilsDown(p, ['clay', 'stiffClay', 0, values]);
          p.elements = named(pad(0, 0, 2, 2));
        }),
      ).elements[0]!.rule;
    expect(rule({ slopeClass: 'C' }).slopeClass).toBe('C');
    expect(rule({ slopeClass: 'C' }).steepest).toBeGreaterThan(rule({}).steepest);
  });

  it('of a soil under pressure from below counts, as it is or dry, the lower of both', () => {
    const job = (values: Partial<Values>) =>
      compute(
        plainPlan((p) => {
          p.ground.knownTo = 8;
          soilsDown(p, ['clay', 'softClay', 0], ['sand', 'sand', 5]);
          p.ground.confined = { top: 95, level: 98.4 };
          p.ground.soils[0]!.values = values;
          p.elements = named(pad(0, 0, 2, 2, { level: 97.5 }));
        }),
      ).cautions.find(({ code }) => code === 'heave')?.values?.safety?.[0];
    // 2.5 m over 3.4 m of head.
    expect(job({ density: 1100 })).toBeCloseTo((2.5 * 1100) / 3400, 9);
    expect(job({ density: 1500, dryDensity: 900 })).toBeCloseTo((2.5 * 1500) / 3400, 1);
    expect(job({ density: 1100, dryDensity: 2000 })).toBeCloseTo((2.5 * 1100) / 3400, 9);
  });

  it('of a bed moves what it weighs, how loose it comes and whether its stones fit', () => {
    const passed: string[] = [];
    let times = 0;
    for (let seed = 1; seed <= JOBS; seed++) {
      const plan = known(seed);
      const before = compute(plan);
      const told = said(before);
      for (const [i, { layers }] of before.beds.entries())
        for (const [j, { volume, lifts }] of layers.entries()) {
          if (volume < 1e-3 || !lifts) continue;
          for (const change of [
            { density: 1777 },
            { looseFactor: 1.44 },
            { topSize: 0.29 },
            { maxLift: 0.05 },
          ]) {
            times++;
            const changed = structuredClone(plan);
            Object.assign(changed.beds[i]!.layers[j]!, change);
            if (said(compute(changed)) === told) passed.push(`seed ${seed}: ${JSON.stringify(change)}`);
          }
        }
    }
    expect(passed).toEqual([]);
    expect(times).toBeGreaterThan(JOBS);
  }, 600_000);

  it('of the water moves inflow, what floats, what is lifted, and the night', () => {
    const base = plainPlan((p) => {
      soilsDown(p, ['clay', 'softClay', 0], ['sand', 'sand', 1.2]);
      p.ground.water = 98.5;
      p.ground.confined = { top: 95.5, level: 99 };
      p.site.boundary = [
        [-20, -20],
        [20, -20],
        [20, 20],
        [-20, 20],
      ];
      p.ground.surface = { kind: 'plane', level: 100, gradeEast: 0.02, gradeNorth: 0 };
      p.elements = named(
        tank(
          [
            [0, 0],
            [5, 0],
            [5, 4],
            [0, 4],
          ],
          { height: 2.5, level: 97.5 },
        ),
      );
      p.water.storm = { start: '2026-04-01T20:00', depth: 0.04, hours: 6, pattern: 'even', hourly: [] };
      p.water.dryBy = '2026-04-02T07:00';
    });
    const night = (plan: Plan) => JSON.stringify(nightOf(plan, compute(plan)));
    const all = (plan: Plan) => {
      const takeoff = compute(plan);
      return JSON.stringify([said(takeoff), floatsOf(plan, takeoff.elements[0]!)]);
    };
    const changed = (change: (plan: Plan) => void): Plan => {
      const plan = structuredClone(base);
      change(plan);
      return plan;
    };
    const [told, slept] = [all(base), night(base)];
    expect(JSON.parse(slept).ok).toBe(true);
    const takeoffs: [string, (p: Plan) => void][] = [
      ['water', (p) => (p.ground.water = 98.7)],
      ['waterHigh', (p) => (p.ground.waterHigh = 99.5)],
      ['confined top', (p) => (p.ground.confined!.top = 96)],
      ['confined level', (p) => (p.ground.confined!.level = 99.5)],
      ['knownTo', (p) => (p.ground.knownTo += 2)],
    ];
    for (const [name, change] of takeoffs) expect(all(changed(change)), name).not.toBe(told);
    const nights: [string, (p: Plan) => void][] = [
      ['depth', (p) => (p.water.storm!.depth = 0.06)],
      ['hours', (p) => (p.water.storm!.hours = 3)],
      ['pattern', (p) => (p.water.storm!.pattern = 'front')],
      ['start', (p) => (p.water.storm!.start = '2026-04-01T22:00')],
      ['dry by', (p) => (p.water.dryBy = '2026-04-02T05:00')],
      ['cover', (p) => (p.water.cover = true)],
      ['runoff', (p) => (p.water.runoff = 0.6)],
      ['full', (p) => (p.water.full = true)],
      ['drained', (p) => (p.water.drained = [{ element: 'E1', area: 400, points: [] }])],
      ['ground water', (p) => (p.ground.water = 98.7)],
    ];
    for (const [name, change] of nights) expect(night(changed(change)), name).not.toBe(slept);
  });
});

describe('a remedy', () => {
  it('lifts its caution wherever it is offered', () => {
    const stands: string[] = [];
    let offered = 0;
    for (let seed = 1; seed <= JOBS; seed++) {
      const plan = known(seed);
      const takeoff = compute(plan);
      for (const code of REMEDIED) {
        if (remedyCost(plan, takeoff, code) === null) continue;
        offered++;
        const mend = remedyFor(plan, takeoff, code)!;
        const after = compute(mend.plan).cautions.filter((caution) => caution.code === code);
        const left = after.filter(
          ({ elements }) => mend.ids.length === 0 || elements.some((id) => mend.ids.includes(id)),
        );
        if (left.length > 0) stands.push(`seed ${seed}: ${code}`);
      }
    }
    expect(stands).toEqual([]);
    expect(offered).toBeGreaterThan(JOBS / 4);
  }, 600_000);
});
