/**
 * How badly a soil heaves when it freezes: groups of UFC 3-130-06 by the share finer than
 * 0.02 mm. What was measured replaces the kind's typical group.
 */
import type { FrostGroup, SoilTypical } from '../catalogue/soils.ts';

const isGravel = (uscs: string) => uscs.startsWith('G');
const isSand = (uscs: string) => uscs.startsWith('S');

/**
 * @param typical the soil's kind
 * @param finer share by mass finer than 0.02 mm, 0…1; undefined when not measured
 * @param plasticity plasticity index; undefined when not measured
 */
export function heaveGroup(
  typical: Pick<SoilTypical, 'uscs' | 'frostGroup'>,
  finer: number | undefined,
  plasticity: number | undefined,
): FrostGroup {
  const { uscs } = typical;
  if (uscs.startsWith('C') || uscs.startsWith('M')) {
    if (uscs.startsWith('M') || plasticity === undefined) return typical.frostGroup;
    return plasticity > 12 ? 'F3' : 'F4';
  }
  if (finer === undefined) return typical.frostGroup;
  const percent = finer * 100;
  if (isGravel(uscs)) {
    if (percent < 1.5) return 'NFS';
    if (percent <= 10) return 'F1';
    return percent <= 20 ? 'F2' : 'F3';
  }
  if (isSand(uscs)) {
    if (percent < 3) return 'NFS';
    return percent <= 15 ? 'F2' : uscs === 'SM' ? 'F4' : 'F3';
  }
  return typical.frostGroup;
}
