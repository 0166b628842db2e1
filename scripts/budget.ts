/** Holds what is timed to its budget: each line as a multiple of a fixed piece of work timed beside it. */
import { compute } from '@cimiento/core';
import { simulatedSurvey } from '@cimiento/simulators';
import { editsToTally } from './bench-desk.ts';
import { BUDGETS, type Line } from './budgets.ts';
import { fixedWork } from './fixed-work.ts';
import { repeat, share } from './rows.ts';
import {
  demo,
  edits,
  folding,
  inTime,
  night,
  ordering,
  readingLandXml,
  storms,
  stormy,
  unseen,
} from './work.ts';

/** Over its budget by more than this is over it: machines are not that steady. */
const SLACK = 1.3;
/** The best of so many decides. */
const TRIES = 3;

const least = (values: readonly number[]) => Math.min(...values);
/** ms the fixed work takes now, warm. */
const fixedNow = () => least(repeat(4, fixedWork));

interface Timed {
  readonly line: Line;
  /** ms, at best. */
  readonly time: () => number | Promise<number>;
}

/** The least of some runs, the code warm. */
const warm = (runs: number, work: () => unknown) => () => least(repeat(runs, work));

/** What is timed by itself, in this process. */
function timed(): Timed[] {
  const edit = { small: edits(60, 5000), middle: edits(240, 20_000), large: edits(400, 20_000) };
  const cold = { small: simulatedSurvey(60, 5000), large: simulatedSurvey(400, 20_000) };
  const honey = demo('honey-house');
  const rained = stormy();
  return [
    { line: 'edit of 60 elements', time: warm(12, () => compute(edit.small())) },
    { line: 'edit of 240', time: warm(8, () => compute(edit.middle())) },
    { line: 'edit of 400', time: warm(8, () => compute(edit.large())) },
    { line: 'cold, 60 on 5 000 triangles', time: warm(5, () => compute(unseen(cold.small))) },
    { line: 'cold, 400 on 20 000', time: warm(3, () => compute(unseen(cold.large))) },
    { line: 'Honey house', time: warm(30, () => compute(honey)) },
    { line: 'night of 15 holes', time: warm(8, () => night(rained)) },
    { line: '1 000 storms', time: warm(1, () => storms(rained, 1000)) },
    { line: 'order of 60', time: warm(2, ordering(60)) },
    { line: 'LandXML, 100 000 points', time: warm(3, readingLandXml(100_000)) },
    { line: 'days of 240', time: warm(4, inTime(240)) },
    { line: '10 000 records', time: warm(4, folding(10_000)) },
  ];
}

/** A line that is one piece of work against the same on a smaller job. */
interface Growth {
  readonly line: Line;
  readonly large: () => number;
  readonly small: () => number;
}

function growths(): Growth[] {
  const rained = stormy();
  const edit = { small: edits(60, 5000), middle: edits(240, 20_000) };
  const cold = { small: simulatedSurvey(60, 5000), large: simulatedSurvey(400, 20_000) };
  return [
    {
      line: 'edit of 240 : of 60',
      large: warm(6, () => compute(edit.middle())),
      small: warm(12, () => compute(edit.small())),
    },
    {
      line: 'cold, 400 : 60',
      large: warm(3, () => compute(unseen(cold.large))),
      small: warm(6, () => compute(unseen(cold.small))),
    },
    { line: 'days of 240 : of 60', large: warm(3, inTime(240)), small: warm(8, inTime(60)) },
    {
      line: '1 000 storms : 100',
      large: warm(1, () => storms(rained, 1000)),
      small: warm(4, () => storms(rained, 100)),
    },
    { line: '10 000 records : 1 000', large: warm(4, folding(10_000)), small: warm(10, folding(1000)) },
  ];
}

/** Says how a line stands; whether it is within its budget. */
function said(line: Line, measured: number, unit: string): boolean {
  const { most } = BUDGETS[line];
  const within = measured <= most * SLACK;
  const over = within ? '' : `  OVER: ${(measured / most).toFixed(2)} times its budget`;
  console.log(`${line.padEnd(30)} ${measured.toFixed(2).padStart(8)} ${unit}, at most ${most}${over}`);
  return within;
}

/** The best of three, or the first that is within the budget by itself. */
async function best(line: Line, measure: () => number | Promise<number>): Promise<number> {
  let found = Infinity;
  for (let i = 0; i < TRIES && found > BUDGETS[line].most; i++) found = Math.min(found, await measure());
  return found;
}

/** Times every line that has a budget; whether all are within theirs. */
export async function heldToBudget(): Promise<boolean> {
  repeat(5, fixedWork);
  console.log(`the fixed work takes ${fixedNow().toFixed(1)} ms here; each line in multiples of it`);
  let held = true;
  for (const { line, time } of timed())
    held =
      said(line, await best(line, async () => Number(await time()) / fixedNow()), 'times the fixed work') &&
      held;
  for (const { line, large, small } of growths())
    held = said(line, await best(line, () => large() / small()), 'times the smaller') && held;
  await editsToTally(async (line, measure) => {
    held =
      said(
        line,
        await best(line, async () => share(await measure(), 0.5) / fixedNow()),
        'times the fixed work',
      ) && held;
  });
  const missing = held ? '' : ': over budget, see above and scripts/budgets.ts';
  console.log(`\nbudgets ${held ? 'held' : 'NOT held'}${missing}`);
  return held;
}
