/** What the fields of one layer of a bed are given, and how they change it. */
import type { Bed, BedLayer } from '@cimiento/core';
import { useDeskStore } from '../../state/store.ts';

export interface OwnLayer {
  readonly bed: Bed;
  readonly bedIndex: number;
  readonly layer: BedLayer;
  readonly at: number;
}

/** Changes a layer that is still there. */
export function usePut({ bedIndex, at }: Pick<OwnLayer, 'bedIndex' | 'at'>) {
  const store = useDeskStore();
  return (change: (layer: BedLayer) => void, key?: string) =>
    store.getState().edit((d) => {
      const target = d.beds[bedIndex]?.layers[at];
      if (target) change(target);
    }, key);
}
