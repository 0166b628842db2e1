export { assumedAt, isAssumed, settled } from './assumed.ts';
export * from './beds.ts';
export * from './blank.ts';
export * from './diff.ts';
export type { BoxElement, Element, ElementOf, Pad, Raft, Ramp, Strip, Underpin } from './elements.ts';
export * from './fields.ts';
export * from './first.ts';
export { isOutlined, isRun, type OutlinedElement, type RunElement } from './forms.ts';
export * from './kinds.ts';
export * from './limits.ts';
export * from './migrate.ts';
export * from './names.ts';
export * from './path.ts';
export type {
  Bed,
  BedLayer,
  FillSoil,
  Fitting,
  FloorLayer,
  FloorSpec,
  Gate,
  GroundLog,
  Hand,
  Hazard,
  Instruction,
  LogLayer,
  Machine,
  Obstruction,
  OwnCompactor,
  Plan,
  SiteArea,
  SitePath,
  SitePump,
  SoftSpot,
  SoilEntry,
  Steel,
  StringLine,
  Stripped,
  SurfaceSpec,
  Truck,
} from './schema.ts';
export * from './strings.ts';
export { isWholeText, wholeText, wholeValue } from './text.ts';
export { drainOf, traitsOf } from './variants.ts';
export * from './wordings.ts';
