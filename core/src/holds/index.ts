export { type PourReady, type ReadyLine, type ReadyState, readyFor } from './before-pour.ts';
export * from './holds.ts';
export { type HeldJob, HOLDS } from './kinds.ts';
export * from './morning.ts';
export { type PermitTrouble, permitTroubles, type WayTrouble, wayTroubles } from './papers.ts';
export * from './shots.ts';
export { type Hold, type HoldState, isOpen, type Need, type Visit, visitCounts } from './visits.ts';
