/**
 * Performance: compute() on the demos and simulated jobs, step by step; surveys; then the desk in a real
 * browser. Prints medians and spread; asserts nothing. `--compute` leaves the browser out, `--desk` all
 * but it.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  chanceDry,
  compute,
  digInputs,
  digSequence,
  excavate,
  flatPlan,
  newPump,
  nightOf,
  type Plan,
  spotSurface,
  takeSurvey,
  triangulate,
} from '@cimiento/core';
import { readLandXml, readPlan, readSurveyCsv, writeSurveyCsv } from '@cimiento/formats';
import { random, simulatedJob, simulatedSurvey } from '@cimiento/simulators';
import { daysInTime } from './bench-days.ts';
import { deskBench } from './bench-desk.ts';
import { ROOT } from './postgres.ts';
import { repeat, row } from './rows.ts';

function time(plan: Plan, runs: number): number[] {
  for (let i = 0; i < 3; i++) compute(plan);
  return Array.from({ length: runs }, () => {
    const start = performance.now();
    compute(plan);
    return performance.now() - start;
  });
}

const demo = (name: string): Plan => {
  const read = readPlan(readFileSync(join(ROOT, 'demo', `${name}.json`), 'utf8'));
  if (!read.ok) throw new Error(name);
  return read.plan;
};

if (process.argv.includes('--days')) {
  daysInTime();
  await deskBench('days');
  process.exit(0);
}
if (process.argv.includes('--desk')) {
  await deskBench();
  process.exit(0);
}
console.log(`node ${process.version}\n\ncompute(plan)`);
row('Honey house', time(demo('honey-house'), 60));
row('Bell frame', time(demo('bell-frame'), 60));
for (const count of [15, 30, 60, 120, 240])
  row(`simulated job, ${count} elements`, time(simulatedJob(count), count > 100 ? 10 : 40));
row('Drying barn, stepped', time(demo('drying-barn'), 40));

daysInTime();

/** Each step of a takeoff by itself, in the order they run. */
function steps(plan: Plan, runs: number): Map<string, number[]> {
  const taken = new Map<string, number[]>();
  for (let i = 0; i < runs; i++)
    compute(plan, [], (step, run) => {
      const start = performance.now();
      const made = run();
      taken.set(step, [...(taken.get(step) ?? []), performance.now() - start]);
      return made;
    });
  return taken;
}
console.log('\nits steps, Honey house');
steps(demo('honey-house'), 5);
for (const [step, taken] of steps(demo('honey-house'), 40)) row(`  ${step}`, taken);

/** The plan on ground nobody has seen: the hundredth spot a hair higher each time, so that nothing is remembered. */
let hair = 0;
function unseen(plan: Plan): Plan {
  const { surface } = plan.ground;
  if (surface.kind !== 'spots') throw new Error('surveyed ground is wanted');
  hair += 1e-7;
  const points = surface.points.map((p, i) => (i === 100 ? ([p[0], p[1], p[2] + hair] as const) : p));
  return { ...plan, ground: { ...plan.ground, surface: { ...surface, points: points.map((p) => [...p]) } } };
}

/** Times some work on things made beforehand. */
function timeEach<T>(runs: number, made: () => T, work: (given: T) => unknown): number[] {
  return Array.from({ length: runs }, () => {
    const given = made();
    const start = performance.now();
    work(given);
    return performance.now() - start;
  });
}

console.log(
  '\nthe dug solid on surveyed ground, five soils: nothing remembered; then one cross wall moved a centimetre',
);
for (const [count, triangles] of [
  [15, 5000],
  [30, 5000],
  [60, 5000],
  [120, 10_000],
  [240, 20_000],
  [400, 20_000],
] as const) {
  const plan = simulatedSurvey(count, triangles);
  const runs = count > 100 ? 5 : 12;
  const name = `${count} elements, ${triangles} tri.`;
  // Warm code, cold ground.
  for (let i = 0; i < 3; i++) compute(unseen(plan));
  row(
    `solid, ${name}`,
    timeEach(
      runs,
      () => digInputs(unseen(plan)),
      (inputs) => excavate(...inputs),
    ),
  );
  row(
    `takeoff, ${name}`,
    timeEach(runs, () => unseen(plan), compute),
  );
  let edited = plan;
  compute(edited);
  const edit = () => {
    edited = {
      ...edited,
      elements: edited.elements.map((e, i) =>
        i === 4 && e.kind === 'strip' ? { ...e, points: e.points.map(([x, y]) => [x + 0.01, y]) } : e,
      ),
    };
    return edited;
  };
  row(
    `  edit, solid`,
    timeEach(
      runs,
      () => digInputs(edit()),
      (inputs) => excavate(...inputs),
    ),
  );
  row(`  edit, takeoff`, timeEach(runs, edit, compute));
}
console.log('\na night of rain: 72 h over 30 holes, goal 50 ms; 1 000 storms on one, goal 5 s');
{
  const plan = simulatedJob(60);
  plan.elements = plan.elements.filter((_, i) => i % 2 === 0);
  plan.water.storm = { start: '2026-11-25T20:00', depth: 0.04, hours: 66, pattern: 'centre', hourly: [] };
  plan.water.dryBy = '2026-11-28T18:00';
  plan.water.record = { two: 0.04, ten: 0.07 };
  plan.water.pumps = plan.elements
    .slice(0, 3)
    .map((e, i) => ({ ...newPump(plan, 'electric50', e.id), id: `p${i}` }));
  const takeoff = compute(plan);
  const answer = nightOf(plan, takeoff);
  const holes = answer.ok ? answer.night.holes.length : 0;
  row(
    `night of ${holes} holes`,
    timeEach(
      10,
      () => plan,
      (own) => nightOf(own, takeoff),
    ),
  );
  row(
    '1 000 storms',
    timeEach(
      2,
      () => plan,
      (own) => chanceDry(own, takeoff, [plan.elements[0]!.id]),
    ),
  );
}
console.log('\norder of digging');
for (const demoName of ['honey-house', 'cheese-vault']) {
  const plan = demo(demoName);
  const takeoff = compute(plan);
  row(
    demoName,
    repeat(3, () => digSequence(plan, takeoff)),
  );
}
{
  const plan = simulatedJob(60);
  const takeoff = compute(plan);
  row(
    'simulated job, 60 elements',
    repeat(2, () => digSequence(plan, takeoff)),
  );
}

/** A made-up survey: hills over 400 × 300 m, and a centimetre of roughness. */
function hills(count: number): [number, number, number][] {
  const next = random(5);
  return Array.from({ length: count }, () => {
    const [x, y] = [next() * 400, next() * 300];
    return [x, y, 100 + 2 * Math.sin(x / 40) + Math.cos(y / 30) + (next() - 0.5) * 0.01];
  });
}
const many = hills(100_000);
const few = hills(8000);
const csv = writeSurveyCsv({ points: many, breaklines: [] });
const xml = `<LandXML><Surfaces><Surface><Definition surfType="TIN"><Pnts>${many
  .map(([x, y, z], i) => `<P id="${i}">${y} ${x} ${z}</P>`)
  .join('')}</Pnts></Definition></Surface></Surfaces></LandXML>`;
console.log('\nsurveys');
row(
  '100 000 spots triangulated',
  repeat(5, () => triangulate(flatPlan(many), [])),
);
row(
  '100 000 spots read from CSV',
  repeat(5, () => readSurveyCsv(csv, null, 'm')),
);
row(
  '100 000 spots read from LandXML',
  repeat(3, () => readLandXml(xml)),
);
row(
  '100 000 spots taken and thinned',
  repeat(3, () => takeSurvey({ points: many, breaklines: [] }, [0, 0])),
);
row(
  'surface of 8 000 spots',
  repeat(5, () => spotSurface(few, [])),
);
if (process.argv.includes('--compute')) process.exit(0);

await deskBench();
