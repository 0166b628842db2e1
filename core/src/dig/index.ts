export * from './bottoms.ts';
export * from './excavate.ts';
export * from './machines.ts';
export * from './sides.ts';
export * from './solid.ts';
export * from './spoil.ts';
export * from './stretches.ts';
export * from './width.ts';
