export * from './blank.ts';
export * from './check.ts';
export * from './diff.ts';
export * from './migrate.ts';
export * from './path.ts';
export * from './ranges.ts';
export type { Element, Pad, Plan, SoilLayer, Strip, Truck } from './schema.ts';
