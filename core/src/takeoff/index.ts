export type { Built, Dug, ElementTakeoff, Watered } from './element.ts';
export * from './floats.ts';
export * from './ground-water.ts';
export * from './hand.ts';
export type { Job, SoftTakeoff } from './job.ts';
export * from './pencil.ts';
export * from './site-work.ts';
