/** compute(plan, records): a job goes in, a takeoff comes out. Pure: the same job gives the same takeoff. */
import { cautionsFor } from '../../cautions/index.ts';
import type { excavate } from '../../dig/index.ts';
import { figuresOf } from '../../figures/index.ts';
import { type Facts, factsOf, NO_RECORDS, type SiteRecord } from '../../log/index.ts';
import { NO_LIMITS } from '../../plan/limits.ts';
import type { Plan } from '../../plan/schema.ts';
import type { ProblemCode } from '../../results/index.ts';
import type { Job } from '../../takeoff/index.ts';
import { checkPlan } from '../../validation/check.ts';
import { problemStep } from './dug-problems.ts';
import { buildStep, elementStep, holeStep, placeStep, shareStep, waterStep } from './elements.ts';
import { siteStep, spoilStep } from './hauling.ts';
import { orderStep } from './orders.ts';
import { digStep, floorStep, foundStep, groundStep } from './site.ts';
import type { Takeoff } from './takeoff.ts';

/** Runs one named step: to time it, or to be told which one failed. */
export type Around = <T>(step: string, run: () => T) => T;
const plainly: Around = (_step, run) => run();

/**
 * Computes a job.
 * @param plan a plan that passed the schema; contradictions come back as problems
 * @param records what the crew logged, in any order
 * @param around runs every step
 * @returns figures with workings, elements, cautions and problems. With problems in the plan itself
 *   nothing is dug: the figures are nought and the problems say why.
 */
export function compute(
  plan: Plan,
  records: readonly SiteRecord[] = NO_RECORDS,
  around: Around = plainly,
): Takeoff {
  return computeWith(plan, factsOf(records), around);
}

/** The same with the records folded already: what-ifs of one job know what the job knows. */
export function computeWith(plan: Plan, facts: Facts, around: Around = plainly): Takeoff {
  const broken = checkPlan(plan).filter(({ code }) => !OF_ITS_OWN.has(code));
  return broken.length > 0
    ? { ...takeoffOf({ ...plan, ...SAFE, elements: [] }, facts, around), problems: broken }
    : takeoffOf(plan, facts, around);
}

/** What is wrong with an element alone: it is not dug, and the rest of the job is. */
const OF_ITS_OWN: ReadonlySet<ProblemCode> = new Set(['zeroLength', 'slabNoFloor']);

/** Stand-ins for the parts of a broken plan that the empty takeoff would otherwise read. */
const SAFE = {
  ground: {
    surface: { kind: 'plane', level: 0, gradeEast: 0, gradeNorth: 0 },
    soils: [],
    logs: [],
    knownTo: 1,
    water: null,
    waterHigh: null,
    confined: null,
    hazards: [],
    swells: [],
    obstructions: [],
    softSpots: [],
    frost: { local: null, climate: null, cover: [], margin: 0 },
  },
  levels: {
    string: 0,
    strings: [],
    floors: [],
    bearing: null,
    cover: null,
    splash: null,
    steps: { height: null, lap: null, tread: null },
    influence: 1,
    limits: NO_LIMITS,
    instructions: [],
    shallow: null,
  },
  beds: [],
} satisfies Partial<Plan>;

function jobOf(given: Plan, facts: Facts, around: Around): Job {
  const site = around('ground', () => groundStep(given, facts));
  const founded = around('levels', () => foundStep(site));
  const dig = around('dig', () => digStep(site, founded));
  const dug = around('shares', () => shareStep(site, founded, dig));
  const placed = around('place', () => placeStep(site, dug, dig));
  const watered = around('water', () => waterStep(site, buildStep(site, dug, placed)));
  const holes = around('holes', () => holeStep(site, watered, dig));
  const elements = around('elements', () => elementStep(site, watered));
  const hauling = around('spoil', () => spoilStep(site, elements, dig, placed));
  const round = around('site', () => siteStep(site, elements, dig, hauling));
  const flow = (i: 0 | 1 | 2) => holes.reduce((total, hole) => total + hole.inflow[i], 0);
  const { neat, overdig, bottomArea, openArea, solid } = dig;
  return {
    plan: site.plan,
    facts,
    elements,
    overdig: { neat, ...overdig },
    frost: site.frost,
    ...around('floors', () => floorStep(site)),
    ...round,
    ...hauling,
    ...around('orders', () => orderStep(site, elements, dig, placed, hauling, founded.asDug)),
    water: { from: site.model.waterFrom },
    soils: site.model.soils,
    holes,
    inflow: [flow(0), flow(1), flow(2)],
    areas: { bottom: bottomArea, opening: openArea },
    placed,
    crossings: placed.crossings,
    dig,
    solid,
    asDug: new Map([...founded.asDug].map(([i, own]) => [site.plan.elements[i]!.id, own])),
    problems: [...founded.problems, ...problemStep(site, elements, dig)],
  };
}

function takeoffOf(given: Plan, facts: Facts, around: Around): Takeoff {
  const job = jobOf(given, facts, around);
  const { plan: _plan, dig: _dig, placed: _placed, ...said } = job;
  return {
    ...said,
    cautions: around('cautions', () => cautionsFor(job)),
    figures: around('figures', () => figuresOf(job)),
  };
}

/** What `excavate` is given for a plan: to time the dug solid by itself, or to dig it otherwise. */
export function digInputs(given: Plan): Parameters<typeof excavate> {
  const site = groundStep(given, factsOf(NO_RECORDS));
  return [site.plan, site.model, foundStep(site).elements];
}
