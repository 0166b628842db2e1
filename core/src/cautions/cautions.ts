/**
 * Cautions that must be on screen and on paper where they apply. They warn and defer: never a
 * claim that an excavation is safe.
 */

import { COMPACTORS } from '../base/compactors.ts';
import type { Caution, ElementTakeoff, Takeoff } from '../compute/takeoff.ts';
import { rulesOf } from '../dig/sides.ts';
import { leastLap } from '../levels/steps.ts';
import { isAssumed } from '../plan/assumed.ts';
import type { Plan } from '../plan/schema.ts';
import { HOLD_BELOW } from '../water/pits.ts';

type Part = Pick<
  Takeoff,
  | 'elements'
  | 'frost'
  | 'frozen'
  | 'lifts'
  | 'pits'
  | 'spoil'
  | 'soils'
  | 'clashes'
  | 'shallow'
  | 'work'
  | 'water'
>;

const ids = (elements: readonly ElementTakeoff[]) => elements.map((element) => element.id);
const deepest = (elements: readonly ElementTakeoff[]) => Math.max(...elements.map((e) => e.depth));
const EPS = 1e-6;
/** An element that digs less than this is inside another, m³. */
const NOTHING_OWN = 1e-3;

/** Cautions of a job, gravest first. */
export function cautionsFor(plan: Plan, part: Part): Caution[] {
  const out: Caution[] = [];
  const live = part.elements.filter((element) => element.live);
  const add = (
    when: readonly ElementTakeoff[],
    code: string,
    weight: Caution['weight'],
    values?: Caution['values'],
    names?: Caution['names'],
  ) => {
    if (when.length > 0)
      out.push({ code, weight, elements: ids(when), ...(values && { values }), ...(names && { names }) });
  };

  const needing = live.filter((e) => e.rule.protectFrom !== null && e.depth >= e.rule.protectFrom - EPS);
  const rules = rulesOf(plan);
  const { bench } = plan.dig;
  /** How flat its sides stand, H:V; held ones are as good as flat. */
  const flatness = (e: ElementTakeoff) =>
    e.support === 'shore' ? Infinity : e.support === 'bench' ? bench.width / bench.height : e.slope;
  const steep = needing.filter((e) => flatness(e) < e.rule.steepest - EPS);
  if (steep.length > 0)
    add(steep, 'unsupported', 'stop', {
      depth: [deepest(steep), 'length'],
      from: [Math.min(...steep.map((e) => e.rule.protectFrom ?? 0)), 'length'],
      steepest: [Math.max(...steep.map((e) => e.rule.steepest)), 'slope'],
    });
  const beyond = live.filter((e) => e.depth > rules.engineerDepth);
  if (beyond.length > 0)
    add(beyond, 'engineerDepth', 'stop', {
      depth: [deepest(beyond), 'length'],
      limit: [rules.engineerDepth, 'length'],
    });

  hazardCautions(plan, part, out);
  const wet = live.filter((e) => e.wet);
  if (wet.length > 0)
    add(wet, 'water', 'stop', {
      above: [Math.max(...wet.map((e) => (e.water ?? e.dug) - e.dug)), 'size'],
      hold: [Math.min(...part.pits.map((pit) => pit.holdLevel)), 'level'],
    });
  // Not in the hole yet, but nearer than it is held: it comes up through the bottom on a wet day.
  const near = live.filter((e) => !e.wet && e.water !== null && e.water > e.dug - HOLD_BELOW);
  if (near.length > 0)
    add(near, 'waterNear', 'warn', {
      under: [Math.min(...near.map((e) => e.dug - (e.water ?? e.dug))), 'size'],
      hold: [HOLD_BELOW, 'size'],
    });
  const perched = live.filter((e) => e.perched);
  add(perched, 'perched', 'warn');
  add(
    live.filter((e) => (e.wet || e.perched) && e.rule.loweredByWater),
    'waterClass',
    'warn',
  );
  add(
    needing.filter((e) => e.support !== 'shore' && flatness(e) >= e.rule.steepest - EPS),
    'caveIn',
    'warn',
    needing.length > 0 ? { depth: [deepest(needing), 'length'] } : undefined,
  );

  add(
    live.filter((e) => e.support === 'shore'),
    'shored',
    'warn',
  );
  const people = live.filter((e) => e.depth >= rules.ladderDepth);
  if (people.length > 0) {
    add(people, 'ladder', 'warn', {
      depth: [rules.ladderDepth, 'length'],
      travel: [rules.ladderTravel, 'length'],
    });
    add(people, 'gas', 'note', { depth: [rules.ladderDepth, 'length'] });
    add(people, 'rescue', 'warn');
  }
  // What nobody has said is not nothing: it is asked for.
  // Also while nothing is drawn yet: it is what to find out first.
  if (part.frost.depth === null) out.push({ code: 'frostUnknown', weight: 'stop', elements: ids(live) });
  if (part.water.from === null) out.push({ code: 'waterUnknown', weight: 'warn', elements: ids(live) });
  if (isAssumed(plan, '/ground/logs/0'))
    out.push({
      code: 'soilAssumed',
      weight: 'warn',
      elements: ids(live),
      names: { name: plan.ground.logs[0]?.name ?? '' },
    });
  if (isAssumed(plan, '/levels/cover') && plan.levels.cover !== null)
    add(live, 'coverAssumed', 'note', { cover: [plan.levels.cover, 'size'] });
  add(live, 'edge', 'warn', { setback: [rules.setback, 'length'] });
  const marked = plan.ground.hazards.some((hazard) => hazard.kind === 'service');
  add(live, marked ? 'servicesMarked' : 'services', 'warn');
  // Ground frozen today stands like rock until it thaws, and then it falls.
  if (part.frozen)
    add(live, 'frozenFace', 'warn', {
      depth: [part.frozen.depth, 'length'],
      longer: [1 / part.frozen.rate, 'number'],
    });
  else if (part.frost.depth !== null && part.frost.depth > 0) add(live, 'thaw', 'note');
  add(
    live.filter((e) => e.softBottom),
    'softening',
    'note',
  );
  add(
    live.filter((e) => !e.surveyed),
    'beyondSurvey',
    'warn',
  );
  stepCautions(plan, live, add);
  for (const word of plan.levels.instructions) {
    const concerned = live.filter((e) => word.elements.length === 0 || word.elements.includes(e.id));
    if (word.level !== null)
      add(concerned, 'instruction', 'warn', { level: [word.level, 'level'] }, { who: word.who });
    if (word.width !== null)
      add(concerned, 'instructionWidth', 'warn', { width: [word.width, 'size'] }, { who: word.who });
  }
  if (part.shallow)
    out.push({
      code: 'shallowSchool',
      weight: 'stop',
      elements: [],
      values: { bed: [part.shallow.bed, 'size'] },
    });
  const frostLine = live.filter((e) => {
    const frostLevel = e.decision?.candidates.find((c) => c.rule === 'frost')?.level;
    return frostLevel !== undefined && e.underside > frostLevel + EPS;
  });
  add(frostLine, 'aboveFrost', 'stop');
  if (plan.base && part.lifts) {
    const high = COMPACTORS[plan.base.compactor].granular[1];
    if (part.lifts.stoneTooLarge)
      add(live, 'stoneSize', 'warn', {
        stone: [plan.base.topSize, 'size'],
        lift: [part.lifts.thickness, 'size'],
      });
    if (plan.base.maxLift !== null && plan.base.maxLift > high + EPS)
      add(live, 'liftOverCompactor', 'warn', {
        specified: [plan.base.maxLift, 'size'],
        typical: [high, 'size'],
      });
  }
  // All its soil belongs to another: drawn twice, or wholly inside a deeper dig.
  add(
    live.filter((e) => e.volume < NOTHING_OWN),
    'doubled',
    'warn',
  );
  siteCautions(plan, part, live, out);
  if (part.spoil.shortfall > 0) add(live, 'shortfall', 'note', { volume: [part.spoil.shortfall, 'volume'] });
  // Last and always, dig or no dig.
  out.push({ code: 'defer', weight: 'note', elements: [] });
  const order = { stop: 0, warn: 1, note: 2 };
  return out.sort((p, q) => order[p.weight] - order[q.weight]);
}

const CLASH_WEIGHT = { keepOff: 'warn', influence: 'stop', cutBack: 'warn', flood: 'stop' } as const;
/** Reaching into these can kill. */
const DEADLY: readonly string[] = ['service', 'overhead'];

/** One caution a hazard and kind of clash, with the worst of it over the elements concerned. */
function hazardCautions(plan: Plan, part: Part, out: Caution[]): void {
  for (const hazard of plan.ground.hazards) {
    for (const what of ['influence', 'flood', 'keepOff', 'cutBack'] as const) {
      const clashes = part.clashes.filter((clash) => clash.hazard === hazard.id && clash.what === what);
      const worst = clashes.reduce<(typeof clashes)[number] | null>(
        (p, q) => (p === null || q.by > p.by ? q : p),
        null,
      );
      if (!worst) continue;
      const deadly = what === 'keepOff' && DEADLY.includes(hazard.kind) && !hazard.confirmed;
      out.push({
        code: what === 'keepOff' ? `keepOff.${hazard.kind}` : what,
        weight: deadly ? 'stop' : CLASH_WEIGHT[what],
        elements: clashes.map((clash) => clash.element),
        values: {
          distance: [worst.distance, 'length'],
          limit: [worst.limit, what === 'keepOff' ? 'length' : what === 'cutBack' ? 'size' : 'level'],
          by: [worst.by, what === 'keepOff' ? 'length' : 'size'],
        },
        names: { hazard: hazard.name },
      });
    }
  }
}

/** Steps higher, or laps shorter, than the rule: typed so by someone, who must be able to say why. */
function stepCautions(
  plan: Plan,
  live: readonly ElementTakeoff[],
  add: (
    when: readonly ElementTakeoff[],
    code: string,
    weight: Caution['weight'],
    values?: Caution['values'],
  ) => void,
): void {
  const stepped = live.flatMap((e) => {
    const element = plan.elements.find((candidate) => candidate.id === e.id);
    return e.steps && e.steps.count > 0 && element
      ? [{ e, steps: e.steps, thickness: element.thickness }]
      : [];
  });
  const high = stepped.filter(({ steps, thickness }) => steps.height > thickness + EPS);
  if (high.length > 0)
    add(
      high.map(({ e }) => e),
      'stepHigh',
      'warn',
      {
        height: [Math.max(...high.map(({ steps }) => steps.height)), 'size'],
        thickness: [Math.min(...high.map(({ thickness }) => thickness)), 'size'],
      },
    );
  const wanted = ({ steps, thickness }: (typeof stepped)[number]) => leastLap(steps.height, thickness);
  const short = stepped.filter((entry) => entry.steps.lap < wanted(entry) - EPS);
  if (short.length > 0)
    add(
      short.map(({ e }) => e),
      'lapShort',
      'warn',
      {
        lap: [Math.min(...short.map(({ steps }) => steps.lap)), 'size'],
        wanted: [Math.max(...short.map(wanted)), 'size'],
      },
    );
}

/** Spoil, plant and the plot: what the dig and the room round it make of each other. */
function siteCautions(plan: Plan, part: Part, live: readonly ElementTakeoff[], out: Caution[]): void {
  const { layDown, machines } = part.work;
  for (const area of layDown.areas) {
    if (area.tooNear)
      out.push({
        code: 'spoilNear',
        weight: 'warn',
        elements: [],
        names: { area: area.name },
        values: { edge: [Math.max(0, area.edge), 'length'] },
      });
    if (area.rehandled > 0.05)
      out.push({
        code: 'rehandle',
        weight: 'warn',
        elements: area.overlaps.flatMap((overlap) => overlap.element ?? []),
        names: {
          area: area.name,
          what: area.overlaps
            .map((overlap) => overlap.name)
            .filter(Boolean)
            .join(', '),
        },
        values: { volume: [area.rehandled, 'volume'] },
      });
    if (area.overlaps.some((overlap) => overlap.what === 'boundary'))
      out.push({ code: 'areaOutside', weight: 'warn', elements: [], names: { area: area.name } });
  }
  if (layDown.homeless > 0.05)
    out.push({
      code: 'noRoom',
      weight: 'warn',
      elements: [],
      values: { volume: [layDown.homeless, 'volume'] },
    });
  const digging = machines.find((work) => work.machine === plan.dig.machine);
  const machine = plan.dig.machines.find((entry) => entry.id === plan.dig.machine);
  if (!digging || !machine) return;
  if (digging.tooDeep.length > 0)
    out.push({
      code: 'reach',
      weight: 'warn',
      elements: digging.tooDeep,
      names: { machine: machine.name },
      values: { short: [digging.short, 'length'] },
    });
  for (const gate of digging.gates)
    out.push({
      code: 'gate',
      weight: 'warn',
      elements: [],
      names: { gate, machine: machine.name },
      values: { width: [machine.width, 'length'] },
    });
  const outside = live.filter((e) => e.outside > 0.01);
  if (outside.length > 0)
    out.push({
      code: 'outsidePlot',
      weight: 'stop',
      elements: ids(outside),
      values: { area: [outside.reduce((sum, e) => sum + e.outside, 0), 'area'] },
    });
}
