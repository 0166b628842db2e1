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

/** A day as on the job's calendar, 2026-10-14; whether there is such a day, and not in the future, is asked of every record. */
export const day = /*#__PURE__*/ Type.String({ pattern: '^[0-9]{4}-[0-9]{2}-[0-9]{2}$' });
/** A time of day, 07:30. */
export const time = /*#__PURE__*/ Type.String({ pattern: '^([01][0-9]|2[0-3]):[0-5][0-9]$' });

/** Names a layer of a bed in the facts. */
export const layerKey = ({ bed, layer }: { readonly bed: string; readonly layer: string }): string =>
  `${bed}/${layer}`;
