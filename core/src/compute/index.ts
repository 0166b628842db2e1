export * from './compute.ts';
export * from './section.ts';
export * from './takeoff.ts';
