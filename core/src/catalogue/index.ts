export * from './bed-materials.ts';
export * from './compactors.ts';
export * from './filter-stones.ts';
export * from './machines.ts';
export * from './materials.ts';
export * from './obstructions.ts';
export * from './pumps.ts';
export * from './soils.ts';
