export { castOf } from './kinds.ts';
export * from './place.ts';
