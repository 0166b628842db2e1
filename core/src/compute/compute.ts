/** compute(plan): a plan goes in, a takeoff comes out. Pure: the same plan gives the same takeoff. */
import { liftsOf } from '../base/index.ts';
import { cautionsFor } from '../cautions/index.ts';
import { soilBalance, stackClosure } from '../checks/index.ts';
import {
  bottomOf,
  excavate,
  flatsOf,
  HEAP_HEIGHT,
  handDug,
  loadsOf,
  mixedLoads,
  type Solid,
  sideRule,
  slopeOf,
  spoilOf,
  supportOf,
  volumeDeeperThan,
  windrow,
} from '../dig/index.ts';
import { outsideOf, type Polygon } from '../geometry/index.ts';
import {
  designFrost,
  frozenNow,
  type GroundModel,
  groundAt,
  groundModel,
  groundOver,
  placesOn,
} from '../ground/index.ts';
import {
  clashesOf,
  type DepthDecision,
  decideDepth,
  floorStacks,
  type Places,
  type Stepped,
  shallowOf,
  stepsOf,
  withInstructedWidths,
} from '../levels/index.ts';
import { checkPlan, DEEPEST_DIG } from '../plan/check.ts';
import type { Plan } from '../plan/schema.ts';
import { heightOf, orderOf, place } from '../pour/index.ts';
import { footingPieces, middleOf, readPlaces, sizesOf } from '../setout/index.ts';
import { pitsOf } from '../water/index.ts';
import { figuresOf } from './figures.ts';
import { siteWork } from './site-work.ts';
import type { Check, ElementTakeoff, Problem, Takeoff } from './takeoff.ts';

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

/** Hand trim left for last, m: more where water softens the bottom. */
const TRIM = { softening: 0.15, other: 0.05 } as const;

/**
 * Computes a plan.
 * @param plan a plan that passed the schema; contradictions come back as problems
 * @returns figures with workings, elements, shapes, cautions, problems and balance checks. With
 *   problems in the plan itself nothing is dug: the figures are nought and the problems say why.
 */
export function compute(plan: Plan): Takeoff {
  const broken = checkPlan(plan).filter((problem) => problem.code !== 'zeroLength');
  return broken.length > 0
    ? { ...takeoffOf({ ...plan, ...SAFE, elements: [] }), problems: broken }
    : takeoffOf(plan);
}

/** Stand-ins for the parts of a broken plan that the empty takeoff would otherwise read. */
const SAFE = {
  ground: {
    surface: { kind: 'plane', level: 0, gradeEast: 0, gradeNorth: 0 },
    soils: [],
    logs: [],
    base: 1,
    water: null,
    waterHigh: null,
    hazards: [],
    frost: { local: null, climate: null, cover: [], margin: 0, frozen: null },
  },
  levels: {
    string: 0,
    floors: [],
    bearing: null,
    cover: null,
    steps: { height: null, lap: null, tread: null },
    influence: 1,
    instructions: [],
    shallow: null,
  },
  base: null,
} satisfies Partial<Plan>;

interface Levelled {
  readonly decision: DepthDecision | null;
  readonly steps: Stepped | null;
  /** Of each stretch; the lowest is the element's. */
  readonly undersides: readonly number[];
  readonly groundLow: number;
  readonly groundHigh: number;
  readonly places: Places;
  /** Its footing in plan, one a run. */
  readonly pieces: readonly Polygon[];
}

const NOT_LEVELLED: Levelled = {
  decision: null,
  steps: null,
  undersides: [0],
  groundLow: 0,
  groundHigh: 0,
  places: [],
  pieces: [],
};

/**
 * The level of every element: decided by group, so that what is poured together is dug together;
 * stepped strips each for themselves.
 */
function levelElements(
  plan: Plan,
  model: GroundModel,
  frost: Takeoff['frost'],
  problems: Problem[],
): Levelled[] {
  const pieces = footingPieces(plan.elements);
  const places = pieces.map((list) => placesOn(model, list));
  const grounds = places.map((list) => groundAt(model, list));
  const groups = new Map<string, number[]>();
  plan.elements.forEach((element, i) => {
    if (element.kind === 'ramp') return;
    if (!Number.isFinite(grounds[i]!.low)) {
      // A shape no piece can be made of: a strip of no length, an outline its own room closes up.
      if (element.kind === 'strip') problems.push({ code: 'zeroLength', path: `/elements/${i}/points` });
      return;
    }
    const alone = element.group === '' || (element.kind === 'strip' && element.stepped);
    const key = alone ? `#${element.id}` : element.group;
    groups.set(key, [...(groups.get(key) ?? []), i]);
  });
  const out: Levelled[] = plan.elements.map(() => NOT_LEVELLED);
  let undecided = false;
  for (const members of groups.values()) {
    const decision = decideDepth(
      plan,
      model,
      frost,
      members.map((i) => ({ element: plan.elements[i]!, places: places[i]! })),
    );
    undecided ||= decision === null;
    for (const i of members) {
      const element = plan.elements[i]!;
      const steps =
        decision && element.kind === 'strip' && element.stepped
          ? stepsOf(plan, model, frost, element, pieces[i]!)
          : null;
      out[i] = {
        decision,
        steps,
        undersides: steps?.stretches.map((stretch) => stretch.underside) ?? [decision?.underside ?? 0],
        groundLow: grounds[i]!.low,
        groundHigh: grounds[i]!.high,
        places: places[i]!,
        pieces: pieces[i]!,
      };
    }
  }
  if (undecided) problems.push({ code: 'noDepth', path: '/levels' });
  // A ramp comes down to the bottom of what it serves.
  plan.elements.forEach((element, i) => {
    if (element.kind !== 'ramp') return;
    const served = out[plan.elements.findIndex((e) => e.id === element.serves)];
    if (!served || served.decision === null) return;
    const places: Places = [element.at];
    const level = model.level(element.at[0], element.at[1]);
    out[i] = { ...served, steps: null, places, pieces: [], groundLow: level, groundHigh: level };
  });
  return out;
}

/** Index of the log nearest to a place. */
function nearestLog(plan: Plan, [x, y]: readonly [number, number]): number {
  const distance = (at: readonly [number, number]) => Math.hypot(at[0] - x, at[1] - y);
  return plan.ground.logs.reduce(
    (best, log, i) => (best < 0 || distance(log.at) < distance(plan.ground.logs[best]!.at) ? i : best),
    -1,
  );
}

/** A log farther than this from everything that is dug says little of the ground there, m. */
const FAR_LOG = 60;

/** Bank m³ dug within the frozen crust. */
const frozenVolume = (solid: Solid, depth: number, total: number) =>
  total - sum(solid.cuts.flatMap(({ cells }) => cells.map((cell) => volumeDeeperThan(cell, depth))));

const lowest = (lists: readonly (readonly number[])[], i: number) => Math.min(...lists[i]!);

/** Every level a dig is cut to, and what of it can be dug at all. */
function digLevels(plan: Plan, model: GroundModel, frost: Takeoff['frost'], problems: Problem[]) {
  const levelled = levelElements(plan, model, frost, problems);
  const bed = plan.base?.thickness ?? 0;
  const blinding = plan.pour.blinding?.thickness ?? 0;
  const undersides = levelled.map((l) => l.undersides);
  const formations = undersides.map((list) => list.map((underside) => underside - blinding - bed));
  const dug = formations.map((list, i) => list.map((level) => level - plan.elements[i]!.low));
  const live = levelled.map((l, i) => {
    if (l.decision === null) return false;
    const bottom = lowest(dug, i);
    const named = {
      path: `/elements/${i}`,
      value: bottom,
      kind: 'level',
      params: { name: plan.elements[i]!.name },
    } as const;
    if (bottom < l.groundLow - DEEPEST_DIG) {
      problems.push({ code: 'tooDeep', ...named, min: l.groundLow - DEEPEST_DIG });
      return false;
    }
    if (bottom < l.groundHigh - 1e-9) return true;
    problems.push({ code: 'formationAboveGround', ...named, max: l.groundHigh });
    return false;
  });
  const steps = levelled.map((l) => l.steps);

  /** Deepest cut as far as levels tell: how far benches and ramps have to climb. */
  const reach = levelled.map((l, i) => Math.max(0, l.groundHigh - lowest(dug, i)));
  return { levelled, undersides, formations, dug, live, steps, reach, bed, blinding };
}

/**
 * What `excavate` is given for a plan: to time the dug solid by itself, or to dig it otherwise.
 * @param given a plan without contradictions
 */
export function digInputs(given: Plan): Parameters<typeof excavate> {
  const plan = withInstructedWidths(given);
  const model = groundModel(plan);
  const { formations, dug, steps, live, reach } = digLevels(plan, model, designFrost(plan, model), []);
  return [plan, model, { needed: formations, dug }, steps, live, reach];
}

function takeoffOf(given: Plan): Takeoff {
  const plan = withInstructedWidths(given);
  const problems: Problem[] = [];
  const model = groundModel(plan);
  const { soils } = model;
  const frost = designFrost(plan, model);
  const frozen = frozenNow(plan);
  const levels = digLevels(plan, model, frost, problems);
  const { levelled, undersides, formations, dug, live, steps, reach, bed, blinding } = levels;
  const dig = excavate(plan, model, { needed: formations, dug }, steps, live, reach);
  const placed = place(plan, model.surface, dig.solid, undersides, formations, steps, live);
  const { makeUp } = plan.pour;
  const stoneVolume = sum(placed.stone) + (makeUp === 'stone' ? placed.makeUp : 0);
  const leanNeat = placed.blinding + placed.irregularity + (makeUp === 'lean' ? placed.makeUp : 0);
  const footings = sum(placed.concrete);
  const concreteNeat = footings + (makeUp === 'concrete' ? placed.makeUp : 0);
  const built = sum(placed.stone) + placed.makeUp + placed.blinding + footings + placed.stems + placed.voids;
  const spoil = spoilOf(plan, soils, dig.byStratum, dig.total - built);
  const loads = plan.spoil.trucks.map((truck) => loadsOf(truck, spoil.hauledLoose, spoil.hauledMass));
  const lifts = plan.base ? liftsOf(plan.base) : null;

  const columns = levelled.map((l, i) =>
    l.decision === null ? [] : readPlaces(plan.elements[i]!, l.pieces).map(([x, y]) => model.column(x, y)),
  );
  const waters = levelled.map((l) => {
    const known = l.places.map(([x, y]) => model.water(x, y)).filter((level) => level !== null);
    return known.length > 0 ? Math.max(...known) : null;
  });
  const pits = pitsOf(
    plan,
    dig.solid,
    levelled.map((l, i) => ({
      dug: lowest(dug, i),
      groundLow: l.groundLow,
      water: waters[i]!,
      columns: columns[i]!,
    })),
  );
  const inflow = [0, 1, 2].map((i) => sum(pits.map((pit) => pit.inflow[i as 0 | 1 | 2]))) as [
    number,
    number,
    number,
  ];

  const openings: Polygon[][] = plan.elements.map(() => []);
  dig.solid.openings.forEach((pieces, i) => {
    openings[dig.solid.parts[i]!.owner]!.push(...pieces);
  });

  /** Deepest cut of each stretch, m: highest ground over it less its level. */
  const depthOf = (i: number): number => {
    const one = dug[i]!.length === 1;
    if (one) return Math.max(0, levelled[i]!.groundHigh - dug[i]![0]!);
    return dig.solid.parts.reduce(
      (most, part) =>
        part.owner === i ? Math.max(most, groundOver(model, [part.bottom]).high - part.floor.c) : most,
      0,
    );
  };

  const elements = plan.elements.map((element, i): ElementTakeoff => {
    const l = levelled[i]!;
    const depth = live[i] ? depthOf(i) : 0;
    const underside = lowest(undersides, i);
    const log = plan.ground.logs[nearestLog(plan, middleOf(element))];
    // Water hanging over a tight layer wets the face as soon as the cut goes past it.
    const hanging = log?.perched ? (log.standing ?? log.strike) : null;
    const perched = hanging !== null && depth > hanging;
    const wet = live[i]! && waters[i] !== null && lowest(dug, i) < waters[i]!;
    const bottom = bottomOf(plan, element);
    const bedSoils = columns[i]!.map((column) =>
      column.find((layer) => layer.top < depth && layer.bottom >= depth - 1e-9),
    ).filter((layer) => layer !== undefined);
    const soft = bedSoils.some((layer) => layer.soil.typical.softens);
    return {
      id: element.id,
      group: element.group,
      decision: l.decision,
      steps: l.steps,
      underside,
      top: underside + heightOf(element),
      blindingTop: underside,
      stoneTop: underside - blinding,
      formation: lowest(formations, i),
      dug: lowest(dug, i),
      groundLow: l.groundLow,
      groundHigh: l.groundHigh,
      depth,
      fromString: plan.levels.string - lowest(dug, i),
      width: bottom.width,
      bottomLength: bottom.length,
      slope: slopeOf(plan, element),
      rule: sideRule(plan, columns[i]!, depth, wet || perched),
      volume: dig.byElement[i]!,
      stone: placed.stone[i]!,
      concrete: placed.concrete[i]!,
      bySoil: dig.soilsOf[i]!,
      // A ramp's floor is driven on, not built on.
      trim:
        element.kind === 'ramp'
          ? 0
          : (element.trim ?? plan.dig.handTrim ?? (soft ? TRIM.softening : TRIM.other)),
      bottomArea: dig.bottomOf[i]!,
      length: sizesOf(element).along,
      support: supportOf(plan, element),
      wet,
      perched,
      water: waters[i]!,
      softBottom: soft,
      surveyed: l.places.every(([x, y]) => model.surface.measured(x, y)),
      outside: live[i] ? outsideOf(plan.site.boundary, openings[i]!) : 0,
      live: live[i]!,
    };
  });

  const stringAt = plan.levels.string;
  elements.forEach((element, i) => {
    if (element.live && stringAt <= element.dug)
      problems.push({
        code: 'stringBelowFormation',
        path: '/levels/string',
        value: stringAt,
        min: element.dug,
        kind: 'level',
        params: { name: plan.elements[i]!.name },
      });
  });

  const places = levelled.flatMap((l) => l.places);
  plan.ground.logs.forEach((log, i) => {
    const far = ([x, y]: readonly [number, number]) =>
      (x - log.at[0]) ** 2 + (y - log.at[1]) ** 2 > FAR_LOG ** 2;
    if (places.length > 0 && places.every(far))
      problems.push({ code: 'logFar', path: `/ground/logs/${i}/at/0`, params: { name: log.name } });
  });
  const stacks = floorStacks(plan);
  levelled.forEach((l, i) => {
    // A wall cannot be squeezed: a floor counted up from the formation must leave room for its layers.
    if (live[i] && l.decision?.closure != null && l.decision.closure < -1e-6)
      problems.push({
        code: 'stackOpen',
        path: `/levels/floors/${plan.levels.floors.findIndex((f) => f.id === l.decision?.floor)}/level`,
        value: -l.decision.closure,
        kind: 'size',
        params: { name: plan.elements[i]!.name },
      });
  });

  const bearing = elements.filter((e, i) => e.live && plan.elements[i]!.kind !== 'ramp');
  const trimmed = sum(bearing.map((e) => e.trim * e.bottomArea));
  const trimmedArea = sum(bearing.map((e) => e.bottomArea));
  // Spoil is banked along one long side of each opening.
  const keptRun = Math.max(
    1,
    sum(
      elements
        .filter((e) => e.live)
        .map((e) => e.length + 2 * e.depth * (e.support === 'slope' ? e.slope : 0)),
    ),
  );
  const repose = soils.length > 0 ? Math.min(...soils.map((soil) => soil.repose)) : 37;

  const clashes = clashesOf(
    plan,
    elements.flatMap((e, i) =>
      e.live
        ? [
            {
              id: e.id,
              bottoms: dig.bottoms[i]!,
              openings: openings[i]!,
              formation: e.dug,
              groundLow: e.groundLow,
              depth: e.depth,
            },
          ]
        : [],
    ),
  );
  const frozenBank = frozen ? frozenVolume(dig.solid, frozen.depth, dig.total) : 0;
  const work = siteWork(
    plan,
    soils,
    dig.byStratum,
    elements,
    openings,
    spoil,
    loads,
    {
      frozen: dig.total > 0 ? frozenBank / dig.total : 0,
      hand: dig.total > 0 ? handDug(dig.solid, plan.ground.hazards) / dig.total : 0,
    },
    trimmed,
    repose,
  );
  const first = elements.find((e) => e.live);
  const checks: Check[] = [
    ...soilBalance(
      dig.total,
      dig.byStratum,
      dig.byElement,
      [
        dig.neat,
        dig.overdig.room,
        dig.overdig.bucket,
        dig.overdig.sides,
        dig.overdig.low,
        dig.overdig.access,
      ],
      spoil,
    ),
    ...(first
      ? [
          stackClosure(
            first.formation,
            [bed, blinding, heightOf(plan.elements.find((e) => e.id === first.id)!)],
            first.top,
          ),
        ]
      : []),
  ];

  const partial = {
    elements,
    overdig: { neat: dig.neat, ...dig.overdig },
    frost,
    frozen: frozen && { ...frozen, volume: frozenBank },
    work,
    stacks,
    clashes,
    shallow: shallowOf(plan, model, frost, stacks[0]?.level ?? null),
    water: { from: model.waterFrom },
    soils,
    spoil,
    loads,
    mixed: mixedLoads(plan.spoil.trucks, spoil.hauledLoose, spoil.hauledMass).map(({ truck, loads }) => ({
      truck: truck.id,
      loads,
    })),
    pile: { ...windrow(spoil.keptLoose / keptRun, repose, HEAP_HEIGHT), length: keptRun, repose },
    lifts,
    stone: {
      volume: stoneVolume,
      mass: plan.base ? stoneVolume * plan.base.density : 0,
      loose: plan.base ? stoneVolume * plan.base.looseFactor : 0,
    },
    lean: { volume: leanNeat, ...orderOf(leanNeat, plan.pour.waste, plan.pour.step, plan.pour.truck) },
    concrete: {
      neat: concreteNeat,
      ...orderOf(concreteNeat, plan.pour.waste, plan.pour.step, plan.pour.truck),
    },
    walls: placed.stems,
    handTrim: {
      thickness: trimmedArea > 0 ? trimmed / trimmedArea : (plan.dig.handTrim ?? TRIM.other),
      volume: trimmed,
    },
    pits,
    inflow,
    areas: { bottom: dig.bottomArea, opening: dig.openArea },
    problems,
    checks,
    shapes: {
      footings: placed.footingPieces.map((list) => list.map((piece) => piece.plan)),
      undersides: placed.footingPieces.map((list) => list.map((piece) => piece.underside)),
      tops: placed.footingPieces.map((list) => list.map((piece) => piece.top)),
      // A ramp's bottom ends where it comes out of the ground.
      bottoms: dig.bottoms.map((list, i) =>
        plan.elements[i]!.kind === 'ramp' ? flatsOf(dig.solid, i) : list,
      ),
      openings,
      solid: dig.solid,
    },
  };
  return {
    ...partial,
    cautions: cautionsFor(plan, partial),
    figures: figuresOf(plan, partial, placed, dig),
  };
}
