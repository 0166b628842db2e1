export * from './placement.ts';
export * from './stand.ts';
