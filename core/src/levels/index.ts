export * from './depth.ts';
export * from './floors.ts';
export * from './levelled.ts';
export * from './neighbour.ts';
export * from './shallow.ts';
export * from './slab.ts';
export * from './steps.ts';
