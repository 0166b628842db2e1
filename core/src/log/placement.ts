/**
 * Names of placements: of anything laid, cast or filled under, in or round an element. A name says what it is a
 * part of, and which part; records hang on it.
 */

/** What a name looks like: what kind of thing, of what, and which part of it, counted from 1. */
export const PLACEMENT_NAME = '^[a-z]{1,12}(/[A-Za-z0-9_-]{1,40}){0,3}/[1-9][0-9]{0,3}$';

/** One lift of a layer of the bed an element stands on, 1 the lowest. */
export interface BedLift {
  readonly bed: string;
  readonly layer: string;
  readonly lift: number;
}

export const bedLift = ({ bed, layer, lift }: BedLift): string => `bed/${bed}/${layer}/${lift}`;

/** The lift a placement is; null when it is something else. */
export function bedLiftOf(placement: string): BedLift | null {
  const [what, bed, layer, lift] = placement.split('/');
  return what === 'bed' && bed && layer && lift ? { bed, layer, lift: Number(lift) } : null;
}

/** One lift of what goes back round an element, 1 the lowest of its stage on its side. */
export interface FillLift {
  readonly stage: string;
  readonly side: string;
  readonly lift: number;
}

export const fillLift = ({ stage, side, lift }: FillLift): string => `fill/${stage}/${side}/${lift}`;

/** The lift of fill a placement is; null when it is something else. */
export function fillLiftOf(placement: string): FillLift | null {
  const [what, stage, side, lift] = placement.split('/');
  return what === 'fill' && stage && side && lift ? { stage, side, lift: Number(lift) } : null;
}

/** Names a placement within the job. @param element null: of no element alone */
export const placementKey = (element: string | null, placement: string): string =>
  `${element ?? ''}/${placement}`;
