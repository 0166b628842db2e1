export * from './built.ts';
export { type Crossing, type LeftOut, leftOutOf, sectionBelow } from './crossings.ts';
export * from './cure.ts';
export * from './floors.ts';
export {
  type BuiltAs,
  type CastStage,
  castOf,
  POUR_KINDS,
  type PourKind,
  pourKindOf,
} from './kinds.ts';
export * from './place.ts';
export * from './pours.ts';
export * from './rising.ts';
