export * from './compactors.ts';
export * from './lifts.ts';
