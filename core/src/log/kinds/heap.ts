/** A heap as it was measured: its foot, its height, the angle it stands at. */
import { heapFault, heapVolume } from '../../day/heap.ts';
import { object, within } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { day } from '../measures.ts';

const measures = {
  heapFoot: { kind: 'length', min: 0.5, max: 200 },
  heapHeight: { kind: 'length', min: 0.1, max: 20 },
  heapAngle: { kind: 'angle', min: 15, max: 50 },
} as const;

export const heapValue = checked(
  object({
    day,
    a: within(measures.heapFoot),
    b: within(measures.heapFoot),
    height: within(measures.heapHeight),
    angle: within(measures.heapAngle),
  }),
  (heap) => {
    const least = heapFault(heap);
    if (least === null) return null;
    const narrow = heap.a < heap.b ? 'a' : 'b';
    return { code: 'heapFoot', at: `/${narrow}`, value: heap[narrow], min: least, kind: 'length' };
  },
);

export const heap = recordKind<typeof heapValue>()({
  measures,
  onPlacement: false,
  fold: nothing,
  said: (heap) => [
    {
      sentence: 'record.heapValue',
      parts: {
        a: { quantity: heap.a, kind: 'length' },
        b: { quantity: heap.b, kind: 'length' },
        height: { quantity: heap.height, kind: 'length' },
        angle: { quantity: heap.angle, kind: 'angle', decimals: 0 },
        volume: { quantity: heapVolume(heap), kind: 'volume' },
      },
    },
  ],
});
