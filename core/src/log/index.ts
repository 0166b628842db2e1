export { inTime, standing } from './causal-order.ts';
export {
  type Facts,
  factsOf,
  NO_RECORDS,
} from './facts.ts';
export type { Part, Said } from './kind.ts';
export { FEELS, WETNESSES } from './kinds/bottom.ts';
export {
  faultOf,
  MEASURES,
  RECORD_KIND_IDS,
  type RecordKindId,
  type RecordValue,
  type RecordWord,
  recordKindOf,
} from './kinds/index.ts';
export { GROUNDS } from './kinds/laid.ts';
export { REWORKS } from './kinds/rework.ts';
export { recordsBefore, upgradedRecord } from './legacy.ts';
export { layerKey } from './measures.ts';
export { type BedLift, bedLift, bedLiftOf, placementKey } from './placement.ts';
export { MOST_RECORDS, type PlacedRecord, type RecordOf, type SiteRecord } from './record.ts';
