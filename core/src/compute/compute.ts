/** compute(plan): a plan goes in, a takeoff comes out. Pure: the same plan gives the same takeoff. */
import { liftsOf } from '../base/index.ts';
import { cautionsFor } from '../cautions/index.ts';
import { soilBalance, stackClosure } from '../checks/index.ts';
import {
  bottomOf,
  excavate,
  loadsOf,
  mixedLoads,
  sideRule,
  slopeOf,
  spoilOf,
  windrow,
} from '../dig/index.ts';
import { designFrost, groundPlane, soilsOf } from '../ground/index.ts';
import { type DepthDecision, decideDepth, groundOver, stackUnderside } from '../levels/index.ts';
import { checkPlan } from '../plan/check.ts';
import type { Plan } from '../plan/schema.ts';
import { orderOf, place } from '../pour/index.ts';
import { axisLength, footingPieces } from '../setout/index.ts';
import { pitsOf } from '../water/index.ts';
import { figuresOf } from './figures.ts';
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
    surface: { level: 0, gradeEast: 0, gradeNorth: 0 },
    soils: [],
    base: 1,
    water: null,
    frost: { local: null, climate: null, margin: 0 },
  },
  levels: { string: 0, floor: null, bearing: null, cover: null, instruction: null },
  base: null,
} satisfies Partial<Plan>;

interface Levelled {
  decision: DepthDecision | null;
  underside: number;
  groundLow: number;
  groundHigh: number;
}

/** The level of every element: decided by group, so that what is poured together is dug together. */
function levelElements(plan: Plan, frost: Takeoff['frost'], problems: Problem[]): Levelled[] {
  const ground = groundPlane(plan);
  const grounds = footingPieces(plan.elements).map((pieces) => groundOver(pieces, ground));
  const groups = new Map<string, number[]>();
  plan.elements.forEach((element, i) => {
    if (!Number.isFinite(grounds[i]!.low)) {
      problems.push({ code: 'zeroLength', path: `/elements/${i}/points` });
      return;
    }
    const key = element.group === '' ? `#${element.id}` : element.group;
    groups.set(key, [...(groups.get(key) ?? []), i]);
  });
  const out = plan.elements.map(
    (): Levelled => ({ decision: null, underside: 0, groundLow: 0, groundHigh: 0 }),
  );
  let undecided = false;
  for (const members of groups.values()) {
    const decision = decideDepth(
      plan,
      frost,
      members.map((i) => ({ element: plan.elements[i]!, groundLow: grounds[i]!.low })),
    );
    undecided ||= decision === null;
    for (const i of members)
      out[i] = {
        decision,
        underside: decision?.underside ?? 0,
        groundLow: grounds[i]!.low,
        groundHigh: grounds[i]!.high,
      };
  }
  if (undecided) problems.push({ code: 'noDepth', path: '/levels' });
  return out;
}

function takeoffOf(plan: Plan): Takeoff {
  const problems: Problem[] = [];
  const ground = groundPlane(plan);
  const soils = soilsOf(plan);
  const frost = designFrost(plan, soils);
  const levelled = levelElements(plan, frost, problems);
  const bed = plan.base?.thickness ?? 0;
  const blinding = plan.pour.blinding?.thickness ?? 0;
  const formations = levelled.map(({ underside }) => underside - blinding - bed);
  const dug = formations.map((level, i) => level - plan.elements[i]!.low);
  const live = levelled.map((l, i) => {
    if (l.decision === null) return false;
    if (dug[i]! < l.groundHigh - 1e-9) return true;
    problems.push({
      code: 'formationAboveGround',
      path: `/elements/${i}`,
      value: dug[i]!,
      max: l.groundHigh,
      kind: 'level',
      params: { name: plan.elements[i]!.name },
    });
    return false;
  });

  const dig = excavate(plan, ground, soils, { needed: formations, dug }, live);
  const placed = place(
    plan,
    ground,
    dig.solid,
    levelled.map((l) => l.underside),
    formations,
    live,
  );
  const { makeUp } = plan.pour;
  const stoneVolume = sum(placed.stone) + (makeUp === 'stone' ? placed.makeUp : 0);
  const leanNeat = placed.blinding + placed.irregularity + (makeUp === 'lean' ? placed.makeUp : 0);
  const footings = sum(placed.concrete);
  const concreteNeat = footings + (makeUp === 'concrete' ? placed.makeUp : 0);
  const built = sum(placed.stone) + placed.makeUp + placed.blinding + footings + placed.stems;
  const spoil = spoilOf(plan, soils, dig.byStratum, dig.total - built);
  const loads = plan.spoil.trucks.map((truck) => loadsOf(truck, spoil.hauledLoose, spoil.hauledMass));
  const lifts = plan.base ? liftsOf(plan.base) : null;

  const owners = dig.bottoms.flatMap((pieces, owner) => (live[owner] ? pieces.map(() => owner) : []));
  const pits = pitsOf(
    plan,
    soils,
    dig.solid,
    owners,
    dug,
    levelled.map((l) => l.groundLow),
  );
  const inflow = [0, 1, 2].map((i) => sum(pits.map((pit) => pit.inflow[i as 0 | 1 | 2]))) as [
    number,
    number,
    number,
  ];
  const wetElements = new Set(pits.flatMap((pit) => pit.elements));

  const openings: (readonly number[])[][] = plan.elements.map(() => []);
  dig.solid.openings.forEach((polygon, i) => {
    if (polygon.length >= 6) openings[owners[i]!]!.push(polygon);
  });

  const elements = plan.elements.map((element, i): ElementTakeoff => {
    const l = levelled[i]!;
    const depth = live[i] ? Math.max(0, l.groundHigh - dug[i]!) : 0;
    const wet = wetElements.has(i);
    const bottom = bottomOf(plan, element);
    return {
      id: element.id,
      group: element.group,
      decision: l.decision,
      underside: l.underside,
      top: l.underside + element.thickness,
      blindingTop: l.underside,
      stoneTop: l.underside - blinding,
      formation: formations[i]!,
      dug: dug[i]!,
      groundLow: l.groundLow,
      groundHigh: l.groundHigh,
      depth,
      fromString: plan.levels.string - dug[i]!,
      width: bottom.width,
      bottomLength: bottom.length,
      slope: slopeOf(plan, element),
      rule: sideRule(plan, soils, depth, wet),
      volume: dig.byElement[i]!,
      stone: placed.stone[i]!,
      concrete: placed.concrete[i]!,
      length: element.kind === 'strip' ? axisLength(element) : Math.max(element.length, element.width),
      wet,
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

  const softens = soils.some(
    (soil) =>
      soil.typical.softens && elements.some((e) => e.live && soil.top < e.depth && soil.bottom >= e.depth),
  );
  const trim = plan.dig.handTrim ?? (softens ? TRIM.softening : TRIM.other);
  // Spoil is banked along one long side of each opening.
  const keptRun = Math.max(
    1,
    sum(elements.filter((e) => e.live).map((e) => e.length + 2 * e.depth * e.slope)),
  );
  const repose = soils.length > 0 ? Math.min(...soils.map((soil) => soil.repose)) : 37;

  const first = elements.find((e) => e.live);
  const checks: Check[] = [
    ...soilBalance(
      dig.total,
      dig.byStratum,
      dig.byElement,
      [dig.neat, dig.overdig.room, dig.overdig.bucket, dig.overdig.sides, dig.overdig.low],
      spoil,
    ),
    ...(first
      ? [
          stackClosure(
            first.formation,
            [bed, blinding, plan.elements.find((e) => e.id === first.id)!.thickness],
            first.top,
          ),
        ]
      : []),
  ];

  const partial = {
    elements,
    overdig: { neat: dig.neat, ...dig.overdig },
    frost,
    stackUnderside: stackUnderside(plan),
    soils,
    spoil,
    loads,
    mixed: mixedLoads(plan.spoil.trucks, spoil.hauledLoose, spoil.hauledMass).map(({ truck, loads }) => ({
      truck: truck.id,
      loads,
    })),
    pile: { ...windrow(spoil.keptLoose / keptRun, repose), length: keptRun, repose },
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
    handTrim: { thickness: trim, volume: trim * dig.bottomArea },
    pits,
    inflow,
    areas: { bottom: dig.bottomArea, opening: dig.openArea },
    problems,
    checks,
    shapes: {
      footings: placed.footingPieces,
      bottoms: dig.bottoms,
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
