export * from './compare.ts';
export * from './compute.ts';
export * from './long-section.ts';
export * from './section.ts';
export * from './takeoff.ts';
