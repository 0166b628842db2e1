export { isAssumed, settled } from './assumed.ts';
export * from './blank.ts';
export * from './check.ts';
export * from './diff.ts';
export * from './fields.ts';
export * from './kinds.ts';
export * from './limits.ts';
export * from './migrate.ts';
export * from './path.ts';
export type {
  Element,
  FloorLayer,
  FloorSpec,
  Gate,
  GroundLog,
  Hand,
  Hazard,
  Instruction,
  LogLayer,
  Machine,
  Pad,
  PitBox,
  Plan,
  Raft,
  Ramp,
  SiteArea,
  SitePath,
  SoilEntry,
  Strip,
  SurfaceSpec,
  Truck,
} from './schema.ts';
export { isWholeText, wholeText, wholeValue } from './text.ts';
