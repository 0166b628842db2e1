/** What contradicts itself within one record, beyond its limits. */
import { coneFault, holeOf, proctor } from '../base/index.ts';
import type { SiteRecord } from '../log/index.ts';
import type { Problem } from '../results/index.ts';
import { risingHeadFault } from '../water/rising-head.ts';

const LAB_FAULTS = {
  tooFew: 'labTooFew',
  together: 'labTogether',
  oneSided: 'labOneSided',
  overAir: 'labOverAir',
} as const;

/** A laboratory test without a top, a sand cone without a hole. @param path of the record */
export function recordFaults(record: SiteRecord, path: string): Problem[] {
  if (record.kind === 'lab' && record.value) {
    const found = proctor(record.value.points, record.value.grains, record.value.coarse ?? null);
    return found.ok ? [] : [{ code: LAB_FAULTS[found.fault], path: `${path}/value/points` }];
  }
  if (record.kind === 'cone' && record.value) {
    const at = coneFault(record.value.readings);
    return at === null ? [] : [{ code: 'coneBack', path: `${path}/value/readings/${at}` }];
  }
  if (record.kind === 'recharge' && record.value) {
    const at = risingHeadFault(record.value.readings, record.value.water);
    return at === null ? [] : [{ code: 'rechargeBack', path: `${path}/value/readings/${at}` }];
  }
  if (record.kind === 'density' && record.value?.cone) {
    const hole = holeOf(record.value.cone);
    if (hole <= 0)
      return [{ code: 'holeEmpty', path: `${path}/value/cone/after`, value: record.value.cone.after }];
  }
  return [];
}
