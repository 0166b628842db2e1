/** How high what is taken hold of in a drawing is: under a thumb no lower than one. */
import { useNarrow } from './useNarrow.ts';

/** px */
export const THUMB = 44;

/** @param pointer px under a pointer */
export const useReach = (pointer: number): number => (useNarrow() ? THUMB : pointer);
