export * from './holes.ts';
export * from './inflow.ts';
