export * from './adjust.ts';
export * from './bays.ts';
export * from './boards.ts';
export * from './corners.ts';
export * from './footprint.ts';
export * from './places.ts';
export * from './points.ts';
export * from './runs.ts';
