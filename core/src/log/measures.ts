/** What several kinds of record hold. */
import * as Type from 'typebox';
import type { Range } from '../plan/fields.ts';

/** Water by dry mass. */
export const moisture = { kind: 'percent', min: 0, max: 0.6 } as const satisfies Range;

/** Of a mark, a string, a beam, m. */
export const markLevel = { kind: 'level', min: -500, max: 9000 } as const satisfies Range;
/** Read off a rod, m: below nought on one hung from over the beam. */
export const rodReading = { kind: 'taped', min: -15, max: 15 } as const satisfies Range;

/** Drawn with a finger: strokes as lines over a field of 300 by 100; empty: not signed. */
export const finger = /*#__PURE__*/ Type.String({ maxLength: 6000, pattern: '^[ML0-9 .]*$' });

/** Names a layer of a bed in the facts. */
export const layerKey = ({ bed, layer }: { readonly bed: string; readonly layer: string }): string =>
  `${bed}/${layer}`;
