import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { recordsBefore } from '../log/index.ts';
import { validatePlan, validateRecords } from '../validation/validate.ts';
import { currentPlan } from './migrate.ts';

/** Plans as version 1 shipped them: never changed. */
const first = (name: string): unknown =>
  JSON.parse(readFileSync(join(import.meta.dirname, `versions/v1-${name}.json`), 'utf8'));

/** What version 7 worked out of its Seed store. */
const SEVENTH = {
  dig: 107.32798627860782,
  spoil: 129.79171289049404,
  keep: 12.334871351404033,
  haul: 12,
  stone: 140991.11911571457,
  concrete: 14.992197112320003,
};
/** The Honey house as version 8 shipped it: what the program of then worked out. */
const EIGHTH = {
  dig: 339.2413775184769,
  spoil: 467.3475220976015,
  keep: 201.64058291282694,
  haul: 10,
  stone: 151999.9313580444,
  lean: 5.245900000000119,
  concrete: 27.158000000000463,
  water: 0.0003917024504525172,
};

/**
 * Until version 13 the ground at the middle of each run of a wall said how much of it stands in the backfill; now it
 * is cut against the ground. Nothing else of a figure may move.
 */
const CUT_WALLS: Readonly<Record<string, number>> = { keep: 1e-4 };
const held = (id: string, value: number, then: number) =>
  expect(Math.abs(value / then - 1), id).toBeLessThan(CUT_WALLS[id] ?? 1e-8);

describe('a plan of version 1', () => {
  // What the program that wrote them worked out.
  it.each([
    [
      'honey-house',
      { dig: 311.4179371, spoil: 431.4315421, keep: 203.5708117, haul: 5, concrete: 13.082 },
      98.33,
    ],
    [
      'bell-frame',
      { dig: 115.2715898, spoil: 144.0894873, keep: 85.7402652, haul: 0, concrete: 3.6245564 },
      29.1592,
    ],
  ] as const)('%s is let in, and gives the figures it gave then', (name, figures, formation) => {
    const read = validatePlan(first(name));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const takeoff = compute(read.plan);
    expect(takeoff.problems).toEqual([]);
    for (const [id, value] of Object.entries(figures))
      if (value === 0) expect(takeoff.figures[id as keyof typeof figures].value).toBe(0);
      else held(id, takeoff.figures[id as keyof typeof figures].value, value);
    expect(takeoff.elements[0]!.formation).toBeCloseTo(formation, 6);
  });

  it('keeps its floor, its soils and its climate under their new names', () => {
    const plan = currentPlan(first('honey-house'))!;
    expect(plan.levels.floors[0]!.layers.map((layer) => layer.material)).toEqual([
      'slab',
      'insulation',
      'membrane',
      'sand',
      'stone',
    ]);
    expect(plan.ground.logs).toHaveLength(1);
    expect(plan.ground.logs[0]!.layers.map((layer) => layer.top)).toEqual([0, 0.25, 1.8]);
    expect(plan.ground.frost.climate).toMatchObject({ index: 430, record: [] });
  });

  it('with an instruction keeps it as the first of the list', () => {
    const old = first('bell-frame') as { levels: Record<string, unknown> };
    old.levels.instruction = { level: 29, who: 'Eng. Sol', when: '2026-01-02', why: 'soft' };
    expect(currentPlan(old)!.levels.instructions).toEqual([
      {
        id: 'word-1',
        level: 29,
        width: null,
        who: 'Eng. Sol',
        when: '2026-01-02',
        why: 'soft',
        elements: [],
      },
    ]);
  });

  it('of version 2 is let in too, and gives the figures version 2 gave', () => {
    for (const [name, figures] of [
      [
        'honey-house',
        {
          dig: 318.3185272,
          spoil: 439.8407265,
          keep: 232.2663944,
          haul: 4,
          stone: 63984,
          lean: 5.08915,
          concrete: 13.082,
        },
      ],
      [
        'drying-barn',
        { dig: 119.0417579, spoil: 147.6396658, keep: 75.588771, haul: 2, lean: 2.0334, concrete: 7.4 },
      ],
    ] as const) {
      const old: unknown = JSON.parse(
        readFileSync(join(import.meta.dirname, `versions/v2-${name}.json`), 'utf8'),
      );
      const read = validatePlan(old);
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      const takeoff = compute(read.plan);
      for (const [id, value] of Object.entries(figures)) {
        const now = takeoff.figures[id as keyof typeof takeoff.figures].value;
        // Soils are told apart on a finer grid since: what depends on which soil it is moved a little.
        // The barn's strips step: where they run on to another's far side they go deeper since.
        const soils = id === 'spoil' || id === 'keep';
        const most = name === 'drying-barn' ? 2e-3 : soils ? 5e-4 : 1e-8;
        expect(Math.abs(now / value - 1), `${name} ${id}`).toBeLessThan(most);
      }
      // A machine that was only a name becomes one with typical figures.
      expect(read.plan.dig.machines[0]!.name).toBe((old as { dig: { machine: string } }).dig.machine);
      expect(read.plan.dig.machine).toBe(read.plan.dig.machines[0]!.id);
    }
  });

  it.each([
    [
      'honey-house',
      { dig: 318.3185272, spoil: 439.8339418, keep: 232.1663652, haul: 4, lean: 5.08915, concrete: 13.082 },
    ],
    [
      'cheese-vault',
      { dig: 660.2398555, spoil: 834.9630279, keep: 519.0894244, haul: 6, lean: 2.072, concrete: 22.7 },
    ],
  ] as const)('of version 3 too: %s', (name, figures) => {
    const read = validatePlan(
      JSON.parse(readFileSync(join(import.meta.dirname, `versions/v3-${name}.json`), 'utf8')),
    );
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const takeoff = compute(read.plan);
    for (const [id, value] of Object.entries(figures)) {
      const now = takeoff.figures[id as keyof typeof takeoff.figures].value;
      // The soils' grid turns with the job since: which soil it is moved by some litres.
      expect(Math.abs(now / value - 1), id).toBeLessThan(id === 'spoil' || id === 'keep' ? 1e-4 : 1e-8);
    }
    // Nothing it did not say is made up but what every new plan begins with.
    expect(read.plan.dig.day).toEqual({ start: '07:30', hours: 8 });
    expect(read.plan.dig.cramped).toBe(false);
    expect(read.plan.spoil.fleet).toBe(1);
    expect(read.plan.elements.every((e) => e.trim === null)).toBe(true);
  });

  it.each([
    [
      'honey-house',
      {
        dig: 318.3185272,
        spoil: 439.8388921,
        keep: 232.1605043,
        haul: 4,
        stone: 63984,
        lean: 5.08915,
        concrete: 13.082,
      },
    ],
    ['bell-frame', { dig: 115.2715898, spoil: 144.0894873, keep: 85.7402652, concrete: 3.6245564 }],
  ] as const)('of version 6 too: %s', (name, figures) => {
    const old = JSON.parse(readFileSync(join(import.meta.dirname, `versions/v6-${name}.json`), 'utf8')) as {
      bed: { thickness: number; name: string } | null;
      pour: { blinding: unknown };
    };
    const read = validatePlan(old);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const takeoff = compute(read.plan);
    for (const [id, value] of Object.entries(figures))
      held(id, takeoff.figures[id as keyof typeof figures].value, value);
    // The bed and the blinding are the layers of one bed, from formation up.
    const layers = read.plan.beds[0]?.layers ?? [];
    expect(layers.map((layer) => layer.material)).toEqual([
      ...(old.bed ? ['crushed'] : []),
      ...(old.pour.blinding ? ['lean'] : []),
    ]);
    if (old.bed) expect(layers[0]).toMatchObject(old.bed);
    expect(new Set(read.plan.elements.map((e) => e.bed))).toEqual(
      new Set([layers.length > 0 ? 'bed-1' : null]),
    );
  });

  it('of version 7 too, whose drains hold no silt and whose slabs have no boards and do not fall', () => {
    const old = JSON.parse(
      readFileSync(join(import.meta.dirname, 'versions/v7-seed-store.json'), 'utf8'),
    ) as Record<string, unknown>;
    const read = validatePlan(old);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const { figures } = compute(read.plan);
    // Its slab and apron stand out of the ground: since version 14 only what is in the hole takes the hole's room.
    for (const [id, value] of Object.entries(SEVENTH))
      if (id === 'keep') expect(figures.keep.value).toBeGreaterThan(value);
      else held(id, figures[id as keyof typeof SEVENTH].value, value);
    for (const element of read.plan.elements) {
      if (element.kind === 'raft') expect(element).toMatchObject({ boards: null, crossfall: null });
      if (element.kind === 'strip') expect(element.outfall?.silt).toBe(0);
    }
  });

  it('of version 8 too, on which no soft spot was drawn', () => {
    const old = JSON.parse(
      readFileSync(join(import.meta.dirname, 'versions/v8-honey-house.json'), 'utf8'),
    ) as Record<string, unknown>;
    const read = validatePlan(old);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const { figures } = compute(read.plan);
    for (const [id, value] of Object.entries(EIGHTH))
      held(id, figures[id as keyof typeof EIGHTH].value, value);
    expect(read.plan.ground.softSpots).toEqual([]);
    expect(read.plan.pour.screed).toBe(2.4);
  });

  it.each([
    [
      // No figure changed from version 8 to 9.
      'honey-house',
      EIGHTH,
    ],
    [
      'footbridge',
      {
        dig: 79.43602678708478,
        spoil: 98.88602374561111,
        keep: 57.98030921730795,
        stone: 5404.5000000002365,
        lean: 1.01887499999987,
        concrete: 2.8079999999999745,
        water: 0.002633522487360921,
      },
    ],
  ] as const)('of version 9 too, on which nobody was named to ring: %s', (name, ninth) => {
    const old = JSON.parse(
      readFileSync(join(import.meta.dirname, `versions/v9-${name}.json`), 'utf8'),
    ) as Record<string, unknown>;
    const read = validatePlan(old);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const { figures, cautions } = compute(read.plan);
    for (const [id, value] of Object.entries(ninth)) held(id, figures[id as keyof typeof ninth].value, value);
    expect(read.plan.emergencyContact).toBe('');
    expect(cautions.map(({ code }) => code)).toContain('ringUnknown');
  });

  it('of version 12 too, on which the log counted by itself and nobody settled a crossing', () => {
    const old = JSON.parse(
      readFileSync(join(import.meta.dirname, 'versions/v12-honey-house.json'), 'utf8'),
    ) as Record<string, unknown>;
    const read = validatePlan(old);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.plan.dig.learned).toEqual({ byHand: null, outputs: [] });
    expect(read.plan.ground.swells).toEqual([]);
    expect(read.plan.ground.hazards.every(({ crossing }) => crossing === null)).toBe(true);
    expect(read.plan.prices.machineHour).toBeNull();
    const { figures } = compute(read.plan);
    for (const [id, value] of Object.entries({ dig: 339.6, concrete: 27.2, spoil: 467.8 }))
      expect(figures[id as 'dig'].value, id).toBeCloseTo(value, 0);
  });

  it('of version 11 too, on which a bottom was typed low: it goes on as one shot of the whole of it', () => {
    const old = JSON.parse(
      readFileSync(join(import.meta.dirname, 'versions/v11-honey-house.json'), 'utf8'),
    ) as { elements: { id: string; low: number }[] };
    const low = { ...old, elements: old.elements.map((e, i) => (i === 0 ? { ...e, low: 0.08 } : e)) };
    const read = validatePlan(low);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.plan.elements[0]).not.toHaveProperty('low');
    const records = recordsBefore(low);
    expect(records).toMatchObject([{ kind: 'shot', element: old.elements[0]!.id }]);
    expect(validateRecords(records).ok).toBe(true);
    const [before, after] = [compute(read.plan), compute(read.plan, records)];
    expect(after.elements[0]!.dug).toBeCloseTo(before.elements[0]!.dug - 0.08, 9);
    expect(after.madeUp).toBeCloseTo(0.08 * after.elements[0]!.bottomArea, 6);
    expect(recordsBefore(read.plan)).toEqual([]);
    expect(before.figures.dig.value).toBeCloseTo(339.2413775184769, 6);
  });

  it('of version 10 too, on which who is rung had another name', () => {
    const old = JSON.parse(
      readFileSync(join(import.meta.dirname, 'versions/v10-honey-house.json'), 'utf8'),
    ) as Record<string, unknown>;
    const read = validatePlan({ ...old, ring: 'Site office, 555 0100' });
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.plan.emergencyContact).toBe('Site office, 555 0100');
    expect(read.plan).not.toHaveProperty('ring');
    const { figures } = compute(read.plan);
    for (const [id, value] of Object.entries({
      dig: 339.2413775184769,
      spoil: 467.3475220976015,
      concrete: 27.158000000000463,
    }))
      expect(Math.abs(figures[id as 'dig'].value / value - 1), id).toBeLessThan(1e-8);
  });

  it('of a time that is none, or a part of a truck, is refused at its path', () => {
    const base = JSON.parse(
      readFileSync(join(import.meta.dirname, 'versions/v3-honey-house.json'), 'utf8'),
    ) as Record<string, unknown>;
    const now = currentPlan(base)!;
    const wrong = (change: (plan: typeof now) => void) => {
      const plan = structuredClone(now);
      change(plan);
      const read = validatePlan(JSON.parse(JSON.stringify(plan)));
      return read.ok ? [] : read.problems.map((problem) => `${problem.path} ${problem.code}`);
    };
    expect(wrong((p) => Object.assign(p.dig.day, { start: '25:00' }))).toEqual(['/dig/day/start clock']);
    expect(wrong((p) => Object.assign(p.dig.day, { start: '7:30' }))).toEqual(['/dig/day/start clock']);
    expect(wrong((p) => Object.assign(p.spoil, { fleet: 1.5 }))).toEqual(['/spoil/fleet type']);
    expect(wrong((p) => Object.assign(p.spoil, { fleet: 0 }))).toEqual(['/spoil/fleet range']);
    expect(wrong((p) => Object.assign(p.spoil, { trip: 0 }))).toEqual(['/spoil/trip range']);
    expect(wrong((p) => Object.assign(p.elements[0]!, { trim: 2 }))).toEqual(['/elements/0/trim range']);
    expect(wrong(() => {})).toEqual([]);
  });

  it('of nonsense is refused with paths, not thrown', () => {
    for (const broken of [
      { ground: null },
      { levels: 4 },
      { elements: 'x' },
      { ground: { soils: [null, 3] } },
    ])
      expect(validatePlan({ ...(first('bell-frame') as object), ...broken }).ok).toBe(false);
    expect(currentPlan({ format: 'cimiento-plan', version: 99 })).toBeNull();
  });
});
