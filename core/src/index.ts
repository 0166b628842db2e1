/** The core's door. Pure TypeScript: no I/O, no clock, no randomness. */
export * from './base/index.ts';
export * from './checks/index.ts';
export * from './compute/index.ts';
export * from './dig/index.ts';
export * from './geometry/index.ts';
export * from './ground/index.ts';
export * from './levels/index.ts';
export * from './plan/index.ts';
export * from './pour/index.ts';
export * from './setout/index.ts';
export * from './units/index.ts';
export * from './water/index.ts';
