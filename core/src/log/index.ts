export { type Facts, factsOf, inTime, NO_RECORDS, standing } from './facts.ts';
export {
  MEASURES,
  MOST_RECORDS,
  RECORD_KIND_IDS,
  RECORD_KINDS,
  type RecordKindId,
  type RecordValue,
  type SiteRecord,
} from './kinds.ts';
export { recordsBefore } from './legacy.ts';
