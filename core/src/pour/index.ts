export * from './built.ts';
export { type Crossing, leftOutOf, sectionBelow } from './crossings.ts';
export * from './floors.ts';
export { type BuiltAs, castOf, POUR_KINDS } from './kinds.ts';
export * from './place.ts';
export * from './pours.ts';
