/**
 * Whether a soil is fit to go back, by what was said of it, by its moisture against where it packs best, or as is usual
 * for its kind: within 2 % of the optimum fit, up to 6 % over it once it is dried, wetter leaves (practice; typed beats
 * it). Frozen lumps, boulders, roots and waste are never fill.
 */
import type { Soil } from '../ground/index.ts';
import type { NEVER_FILL, SoilUse } from '../plan/kinds.ts';
import type { FillSoil, Plan } from '../plan/schema.ts';
import type { Origin } from '../results/index.ts';

/** Of the dry mass, either side of the optimum: fit as it is; over it to there it can be dried. */
const FIT_WITHIN = 0.02;
const DRIES_WITHIN = 0.06;

export interface Fitness {
  readonly soil: Soil;
  /** Topsoil goes back on top and nowhere else. */
  readonly use: SoilUse | 'topsoil';
  readonly why: 'found' | 'said' | 'moisture' | 'kind' | 'rain';
  readonly origin: Origin;
  /** Of what it is never filled with. */
  readonly found: readonly (typeof NEVER_FILL)[number][];
  /** Over the optimum, share of the dry mass: less than nought, water is added. Null: not measured. */
  readonly over: number | null;
  /** Days it is spread to dry, and where; null: nobody has said. */
  readonly days: number | null;
  readonly where: string;
}

/** By moisture against the optimum. @param over share of the dry mass */
export const useByMoisture = (over: number): SoilUse =>
  over <= FIT_WITHIN + 1e-9 ? 'fit' : over <= DRIES_WITHIN + 1e-9 ? 'dry' : 'away';

const usual = ({ typical }: Soil): Fitness['use'] =>
  (({ yes: 'fit', afterDrying: 'dry', no: 'away', topsoil: 'topsoil' }) as const)[typical.backfill];

/** What was said of a soil as fill. */
const saidOf = ({ backfill }: Plan, soil: Soil): FillSoil | null =>
  backfill.soils.find((own) => own.soil === soil.layer.id) ?? null;

/**
 * @param rained on heaps that lie open: what softens in water is then unfit, however it was before
 */
export function fitnessOf(plan: Plan, soil: Soil, rained = false): Fitness {
  const said = saidOf(plan, soil);
  const over = said?.moisture != null && said.optimum !== null ? said.moisture - said.optimum : null;
  const base = {
    soil,
    found: said?.found ?? [],
    over,
    days: said?.days ?? null,
    where: said?.where ?? '',
  };
  if (usual(soil) === 'topsoil') return { ...base, use: 'topsoil', why: 'kind', origin: 'typical' };
  if (base.found.length > 0) return { ...base, use: 'away', why: 'found', origin: 'measured' };
  if (rained && !plan.backfill.covered && soil.typical.softens)
    return { ...base, use: 'away', why: 'rain', origin: 'assumed' };
  if (said?.use != null) return { ...base, use: said.use, why: 'said', origin: 'typed' };
  if (over !== null) return { ...base, use: useByMoisture(over), why: 'moisture', origin: 'measured' };
  return { ...base, use: usual(soil), why: 'kind', origin: 'typical' };
}

export const fitnesses = (plan: Plan, soils: readonly Soil[], rained = false): Fitness[] =>
  soils.map((soil) => fitnessOf(plan, soil, rained));
