export * from './footprint.ts';
export * from './runs.ts';
