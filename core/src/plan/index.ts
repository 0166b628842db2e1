export * from './blank.ts';
export * from './check.ts';
export * from './diff.ts';
export * from './migrate.ts';
export * from './path.ts';
export * from './ranges.ts';
export type {
  Element,
  FloorLayer,
  FloorSpec,
  GroundLog,
  Hand,
  Hazard,
  Instruction,
  LogLayer,
  Pad,
  Plan,
  SoilEntry,
  Strip,
  SurfaceSpec,
  Truck,
} from './schema.ts';
