export { inTime, standing } from './causal-order.ts';
export {
  type Facts,
  factsOf,
  NO_RECORDS,
} from './facts.ts';
export type { Part, Said } from './kind.ts';
export { type BayStep, bayKey } from './kinds/bay.ts';
export { FEELS, WETNESSES } from './kinds/bottom.ts';
export { CHANGE_WHATS, type ChangeWhat } from './kinds/change.ts';
export { DELIVERED_IN, DELIVERIES, type Delivery } from './kinds/delivered.ts';
export { HAPPENINGS, type Happening } from './kinds/happened.ts';
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
export { MORNING_ANSWERS, MORNING_ITEMS, type MorningAnswer, type MorningItem } from './kinds/morning.ts';
export { NOTICES, type Notice } from './kinds/noticed.ts';
export { PHOTO } from './kinds/photo.ts';
export { REWORKS } from './kinds/rework.ts';
export { SHOT_SURFACES, type ShotSurface } from './kinds/shot.ts';
export { STOP_CAUSES, type StopCause } from './kinds/stopped.ts';
export { holdKey, TICK_LISTS, type Tick } from './kinds/ticked.ts';
export { wettedKey } from './kinds/wetted.ts';
export { recordsBefore, upgradedRecord } from './legacy.ts';
export { layerKey } from './measures.ts';
export { type Ordered, withOrdered } from './ordered.ts';
export {
  type BedLift,
  bedLift,
  bedLiftOf,
  type FillLift,
  fillLift,
  fillLiftOf,
  placementKey,
} from './placement.ts';
export {
  type BookedRecord,
  MOST_RECORDS,
  type PlacedRecord,
  type RecordOf,
  type SiteRecord,
} from './record.ts';
