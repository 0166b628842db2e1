/**
 * Performance: compute() on the demos and simulated jobs, step by step; surveys; then the desk in a real
 * browser. Prints medians and spread; asserts nothing. `--compute` leaves the browser out, `--desk` all
 * but it; `--budget` times what has a budget and fails over it (budgets.ts).
 */
import {
  compute,
  digInputs,
  digSequence,
  excavate,
  flatPlan,
  type Plan,
  spotSurface,
  takeSurvey,
  triangulate,
} from '@cimiento/core';
import { readLandXml, readSurveyCsv, writeSurveyCsv } from '@cimiento/formats';
import { simulatedJob, simulatedSurvey } from '@cimiento/simulators';
import { daysInTime } from './bench-days.ts';
import { deskBench } from './bench-desk.ts';
import { heldToBudget } from './budget.ts';
import { repeat, row } from './rows.ts';
import { demo, edits, hills, landXmlOf, night, ordering, storms, stormy, unseen } from './work.ts';

function time(plan: Plan, runs: number): number[] {
  for (let i = 0; i < 3; i++) compute(plan);
  return Array.from({ length: runs }, () => {
    const start = performance.now();
    compute(plan);
    return performance.now() - start;
  });
}

if (process.argv.includes('--days')) {
  daysInTime();
  await deskBench('days');
  process.exit(0);
}
if (process.argv.includes('--budget')) {
  process.exit((await heldToBudget()) ? 0 : 1);
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
  const edit = edits(count, triangles);
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
  const rained = stormy();
  const answer = night(rained);
  row(
    `night of ${answer.ok ? answer.night.holes.length : 0} holes`,
    repeat(10, () => night(rained)),
  );
  row(
    '1 000 storms',
    repeat(2, () => storms(rained, 1000)),
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
row('simulated job, 60 elements', repeat(2, ordering(60)));

const many = hills(100_000);
const few = hills(8000);
const csv = writeSurveyCsv({ points: many, breaklines: [] });
const xml = landXmlOf(many);
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
