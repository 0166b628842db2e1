export * from './durations.ts';
export * from './local.ts';
export * from './there.ts';
export * from './workday.ts';
