/** What contradicts itself within one record, beyond its limits. */
import { holeOf, proctor } from '../base/index.ts';
import type { Problem } from '../findings/index.ts';
import type { SiteRecord } from '../log/index.ts';

const LAB_FAULTS = { tooFew: 'labTooFew', together: 'labTogether', oneSided: 'labOneSided' } as const;

/** A laboratory test without a top, a sand cone without a hole. @param path of the record */
export function recordFaults(record: SiteRecord, path: string): Problem[] {
  if (record.kind === 'lab' && record.value) {
    const found = proctor(record.value.points, record.value.grains);
    return found.ok ? [] : [{ code: LAB_FAULTS[found.fault], path: `${path}/value/points` }];
  }
  if (record.kind === 'cone' && record.value) {
    const { readings } = record.value;
    const at = readings.findIndex(
      ({ blows, depth }, i) => i > 0 && (blows < readings[i - 1]!.blows || depth < readings[i - 1]!.depth),
    );
    return at < 0 ? [] : [{ code: 'coneBack', path: `${path}/value/readings/${at}` }];
  }
  if (record.kind === 'recharge' && record.value) {
    const { readings, water } = record.value;
    const at = readings.findIndex(
      ({ minutes, level }, i) =>
        level > water || (i > 0 && (minutes <= readings[i - 1]!.minutes || level < readings[i - 1]!.level)),
    );
    return at < 0 ? [] : [{ code: 'rechargeBack', path: `${path}/value/readings/${at}` }];
  }
  if (record.kind === 'density' && record.value?.cone) {
    const hole = holeOf(record.value.cone);
    if (hole <= 0)
      return [{ code: 'holeEmpty', path: `${path}/value/cone/after`, value: record.value.cone.after }];
  }
  return [];
}
