export * from './holds.ts';
export { HOLDS, type Need } from './kinds.ts';
export * from './morning.ts';
export * from './shots.ts';
