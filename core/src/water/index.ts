export * from './inflow.ts';
export * from './pits.ts';
