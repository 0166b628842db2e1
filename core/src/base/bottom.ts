/** A bottom as it was found: what to do with it, and how long it keeps once it is trimmed. */
import type { SoilKind } from '../catalogue/soils.ts';
import type { RecordValue } from '../log/index.ts';

type Found = RecordValue<'bottom'>;

/** Water out first; thaw or take out; take out; trim again; ask the engineer; trim only before cover; go on. */
export type BottomAnswer = 'drain' | 'thaw' | 'takeOut' | 'trimAgain' | 'ask' | 'trimLate' | 'goOn';

/**
 * What a bottom wants, the gravest first. It judges no bearing: whether a soil carries is an engineer's.
 * @param softens its soil goes soft under water and boots
 */
export function bottomAnswer({ feel, wet, frozen, asLogged }: Found, softens: boolean): BottomAnswer {
  if (wet === 'water') return 'drain';
  if (frozen) return 'thaw';
  if (feel === 'soft') return 'takeOut';
  if (feel === 'yields') return 'trimAgain';
  if (!asLogged) return 'ask';
  return softens ? 'trimLate' : 'goOn';
}

/** How a bottom takes water and weather: as clay, as silt or as sand. */
export type BottomSoil = 'clay' | 'silt' | 'sand';

/** How a soil keeps, trimmed, in dry air, in damp air or seeping, hours: assumed, no clock is published. */
const KEEPS: Record<BottomSoil, { readonly dry: number; readonly damp: number }> = {
  clay: { dry: 24, damp: 8 },
  silt: { dry: 4, damp: 4 },
  sand: { dry: 12, damp: 12 },
};

const KEEPS_AS: Partial<Record<SoilKind, BottomSoil>> = {
  topsoil: 'silt',
  madeGround: 'silt',
  softClay: 'clay',
  stiffClay: 'clay',
  gravellyClay: 'clay',
  silt: 'silt',
  sandySilt: 'silt',
  siltySand: 'sand',
  sand: 'sand',
  gravel: 'sand',
};

/** What a soil is as a bottom; null of rock, which keeps. */
export const keepsAs = (soil: SoilKind): BottomSoil | null => KEEPS_AS[soil] ?? null;

/**
 * Hours a trimmed bottom keeps: assumed, the job's own log is to settle it. None under water; rock keeps.
 * @param wet as it was found
 */
export function bottomKeeps(soil: SoilKind, wet: Found['wet']): number {
  const kind = keepsAs(soil);
  if (!kind) return Infinity;
  if (wet === 'water') return 0;
  return KEEPS[kind][wet === 'dry' ? 'dry' : 'damp'];
}
