/** Pan and zoom of the plan under hand, wheel and fingers: fetched once the plan stands. */
import { select } from 'd3-selection';
import { zoom as d3Zoom, zoomIdentity } from 'd3-zoom';
import type { Zoom } from '../../drawing/view.ts';

export interface Zoomer {
  readonly fit: () => void;
  readonly by: (factor: number) => void;
  readonly end: () => void;
}

/**
 * Lets a pane be panned and zoomed.
 * @param moving told while it moves under the hand, @param rests where it comes to rest
 */
export function zoomOn(pane: HTMLDivElement, moving: (to: Zoom) => void, rests: (at: Zoom) => void): Zoomer {
  const made = d3Zoom<HTMLDivElement, unknown>()
    .scaleExtent([0.2, 40])
    .filter((event: Event) => !(event.target instanceof Element && event.target.closest('[data-drag]')))
    .on('zoom', ({ transform: { k, x, y } }: { transform: Zoom }) => moving({ k, x, y }))
    .on('end', ({ transform: { k, x, y } }: { transform: Zoom }) => rests({ k, x, y }));
  const node = select(pane);
  node.call(made).on('dblclick.zoom', null);
  return {
    fit: () => made.transform(node, zoomIdentity),
    by: (factor) => made.scaleBy(node, factor),
    end: () => node.on('.zoom', null),
  };
}
