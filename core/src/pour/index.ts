export * from './built.ts';
export * from './floors.ts';
export { castOf } from './kinds.ts';
export * from './place.ts';
export * from './pours.ts';
