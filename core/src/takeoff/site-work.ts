/** The work round the dig: where spoil lies, how sure the loads are, how long the machine takes. */

import type { Spoil } from '../backfill/spoil.ts';
import { COMMON_SWELL } from '../catalogue/soils.ts';
import {
  chanceOf,
  type DugElement,
  deepestReach,
  fillFactor,
  handRateOf,
  type LayDown,
  type Loads,
  layDown,
  loadsFor,
  type Output,
  outputIn,
  rulesOf,
  type Slow,
} from '../dig/index.ts';
import type { Soil } from '../ground/index.ts';
import type { Plan } from '../plan/schema.ts';
import { outputLearned } from '../rates/index.ts';
import type { Origin } from '../results/index.ts';
import type { ElementTakeoff } from './element.ts';
import { type HandDug, handDugElements, type Scraped, scrapedBottoms } from './hand.ts';

/** How sure a number of loads is. */
export interface LoadChance {
  readonly truck: string;
  /** Chance that so many loads do, from one fewer than worked out to two more. */
  readonly chances: readonly { readonly loads: number; readonly chance: number }[];
  /** Loads that do nine times in ten. */
  readonly sure: number;
}

export interface StratumWork {
  readonly soil: Soil;
  readonly volume: number;
  readonly output: Output;
  readonly hours: number;
}

export interface MachineWork {
  readonly machine: string;
  readonly strata: readonly StratumWork[];
  readonly hours: number;
  /** Hours if none of it were frozen, and the output in frozen ground over that in the same ground unfrozen. */
  readonly thawed: number;
  readonly frozenRate: number;
  readonly slowed: readonly Slow[];
  /** Elements deeper than it reaches, and by how much the worst is. */
  readonly tooDeep: readonly string[];
  readonly short: number;
  /** Narrower than it: gates by name. */
  readonly gates: readonly string[];
}

/** What the machine does that the job is dug with; null where there is none. */
export const digsWith = ({ dig }: Plan, { machines }: Pick<SiteWork, 'machines'>): MachineWork | null =>
  machines.find(({ machine }) => machine === dig.machine) ?? machines[0] ?? null;

export interface SiteWork {
  readonly layDown: LayDown;
  readonly chances: readonly LoadChance[];
  readonly machines: readonly MachineWork[];
  readonly hand: HandWork;
}

/** Parts of the dig a machine meets otherwise: frozen, or left to hands by buried services. */
export interface Shares {
  readonly frozen: number;
  readonly hand: number;
}

/** What is dug by hand, bank m³, and the hours of one person it takes. */
export interface HandWork {
  /** About buried services. */
  readonly services: number;
  /** The last of every bottom. */
  readonly trim: number;
  /** Elements no machine gets to. */
  readonly elements: readonly HandDug[];
  /** Silt in drains. */
  readonly scraped: readonly Scraped[];
  readonly hours: number;
  /** Loose m³ a person digs in an hour, and where that comes from. */
  readonly rate: number;
  readonly from: Origin;
}

function handWork({ plan, elements, soils, trimmed, shares, byStratum, deeper }: Digging): HandWork {
  const { rate, from } = handRateOf(plan);
  const services = byStratum.reduce((sum, volume) => sum + volume, 0) * shares.hand;
  const dug = handDugElements(plan, elements, soils, rate, deeper);
  const scraped = scrapedBottoms(elements, rate);
  const loose = (services + trimmed) * (1 + COMMON_SWELL);
  const hours = [...dug, ...scraped].reduce((sum, own) => sum + own.hours, loose / rate);
  return { services, trim: trimmed, elements: dug, scraped, hours, rate, from };
}

/** Nine in ten. */
const SURE = 0.9;
/** Past this share of its depth a machine is slow. */
const DEEP = 0.9;

function machineWork({ plan, soils, byStratum, elements, shares }: Digging): MachineWork[] {
  const live = elements.filter((e) => e.live && !e.element.hand);
  const byHand = soils.map((_, i) =>
    elements.reduce((sum, e) => sum + (e.live && e.element.hand ? (e.bySoil[i] ?? 0) : 0), 0),
  );
  return plan.dig.machines.map((machine) => {
    const deepest = deepestReach(machine);
    const tooDeep = live.filter((e) => e.depth > deepest + 1e-6);
    const slowed: Slow[] = plan.dig.cramped ? ['cramped'] : [];
    if (live.some((e) => e.depth > deepest * DEEP && e.depth <= deepest + 1e-6)) slowed.push('deep');
    if (plan.ground.hazards.some((hazard) => hazard.kind === 'rock')) slowed.push('obstacle');
    if (plan.ground.hazards.some((hazard) => hazard.kind === 'crest')) slowed.push('crest');
    let [thawed, all] = [0, 0];
    const strata = soils.flatMap((soil, i): StratumWork[] => {
      const volume = byStratum[i]! - byHand[i]!;
      if (volume < 1e-6) return [];
      const learned = outputLearned(plan, machine.id, soil.layer.kind);
      const output = outputIn(machine, soil.layer.kind, soil.swell, learned, false, slowed);
      const hard =
        plan.dig.frozenRate === null
          ? outputIn(machine, soil.layer.kind, soil.swell, learned, true, slowed).rate
          : output.rate * plan.dig.frozenRate;
      const byMachine = volume * (1 - shares.hand);
      const frozen = shares.frozen * byMachine;
      thawed += byMachine / output.rate;
      all += byMachine / hard;
      return [{ soil, volume, output, hours: (byMachine - frozen) / output.rate + frozen / hard }];
    });
    return {
      machine: machine.id,
      strata,
      hours: strata.reduce((sum, s) => sum + s.hours, 0),
      thawed,
      frozenRate: all > 0 ? thawed / all : (plan.dig.frozenRate ?? 1),
      slowed,
      tooDeep: tooDeep.map((e) => e.id),
      short: Math.max(0, ...tooDeep.map((e) => e.depth - deepest)),
      gates: plan.site.gates.filter((gate) => gate.width < machine.width + GATE_ROOM).map((g) => g.name),
    };
  });
}

/** Left free on both sides of a machine in a gate, together, m. */
const GATE_ROOM = 0.3;

const chancesOf = (plan: Plan, loads: readonly Loads[], loose: number, mass: number): LoadChance[] =>
  loads.map(({ truck, loads: count }) => {
    const { spread } = plan.spoil;
    const counts = count === 0 ? [] : [count - 1, count, count + 1, count + 2].filter((n) => n > 0);
    return {
      truck: truck.id,
      chances: counts.map((n) => ({ loads: n, chance: chanceOf(n, truck, loose, mass, spread) })),
      sure: loadsFor(SURE, truck, loose, mass, spread),
    };
  });

/** What the work round the dig is told of it. */
export interface Digging {
  readonly plan: Plan;
  readonly soils: readonly Soil[];
  readonly byStratum: readonly number[];
  readonly elements: readonly ElementTakeoff[];
  readonly spoil: Spoil;
  readonly loads: readonly Loads[];
  readonly shares: Shares;
  /** m³ of the bottoms left for hand trim. */
  readonly trimmed: number;
  /** Degrees a heap stands at. */
  readonly repose: number;
  /** Bank m³ of an element, by position, that lie deeper than so many m. */
  readonly deeper: (element: number, than: number) => number;
}

export function siteWork(digging: Digging): SiteWork {
  const { plan, elements, spoil, loads, repose } = digging;
  const dug = elements
    .filter((e) => e.live)
    .map(
      (e): DugElement => ({
        id: e.id,
        name: e.element.name,
        openings: e.openings,
        depth: e.depth,
        unsupported: e.support === 'slope' && e.slope < e.rule.steepest,
      }),
    );
  const topsoil = spoil.strata
    .filter((s) => s.soil.typical.backfill === 'topsoil')
    .reduce((sum, s) => sum + s.keptLoose, 0);
  return {
    layDown: layDown(plan, dug, { spoil: spoil.keptLoose, topsoil }, repose, rulesOf(plan).setback),
    chances: chancesOf(plan, loads, spoil.hauledLoose, spoil.hauledMass),
    machines: machineWork(digging),
    hand: handWork(digging),
  };
}

/** Bucket fill in the soil there is most of: what a truck is matched with. */
export function usualFill(plan: Plan, spoil: Spoil): number {
  const most = spoil.strata.reduce<Spoil['strata'][number] | null>(
    (best, next) => (best === null || next.bank > best.bank ? next : best),
    null,
  );
  return most ? fillFactor(most.soil.layer.kind) : fillFactor(plan.ground.soils[0]?.kind ?? 'topsoil');
}
