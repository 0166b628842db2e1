export { inTime, standing } from './causal-order.ts';
export {
  type Facts,
  factsOf,
  type LiftRecord,
  layerKey,
  liftKey,
  NO_RECORDS,
} from './facts.ts';
export {
  CONE_SOILS,
  FEELS,
  GROUNDS,
  MEASURES,
  MOST_RECORDS,
  RECORD_KIND_IDS,
  RECORD_KINDS,
  REWORKS,
  type RecordKindId,
  type RecordValue,
  type SiteRecord,
  WETNESSES,
} from './kinds.ts';
export { recordsBefore } from './legacy.ts';
