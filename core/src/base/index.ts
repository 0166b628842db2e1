export * from './beds.ts';
export * from './lifts.ts';
