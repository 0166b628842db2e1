/** What several kinds of record hold. */
import type { Range } from '../plan/fields.ts';

/** Water by dry mass. */
export const moisture = { kind: 'percent', min: 0, max: 0.6 } as const satisfies Range;

/** Names a layer of a bed in the facts. */
export const layerKey = ({ bed, layer }: { readonly bed: string; readonly layer: string }): string =>
  `${bed}/${layer}`;
