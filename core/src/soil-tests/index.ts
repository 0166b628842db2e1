/** What tests of soil in the laboratory and in the hole say. */
export * from './density.ts';
export * from './dynamic-cone.ts';
export * from './proctor.ts';
export * from './rising-head-readings.ts';
export * from './trial.ts';
