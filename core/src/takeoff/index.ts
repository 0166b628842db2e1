export type { Built, Dug, ElementTakeoff, Watered } from './element.ts';
export * from './hand.ts';
export type { Job } from './job.ts';
export * from './site-work.ts';
