/** Pan and zoom of the plan under hand, wheel and fingers: fetched once the plan stands. */
import { select } from 'd3-selection';
import { zoom as d3Zoom, zoomIdentity, zoomTransform } from 'd3-zoom';
import { isFitted, type Zoom } from '../../drawing/view.ts';

export interface Zoomer {
  readonly fit: () => void;
  readonly by: (factor: number) => void;
  readonly end: () => void;
}

/**
 * Lets a pane be panned and zoomed. While it is fitted one finger is the page's: it scrolls, and
 * pushes the drawings along; two zoom.
 * @param moving told while it moves under the hand, @param rests where it comes to rest
 */
export function zoomOn(pane: HTMLDivElement, moving: (to: Zoom) => void, rests: (at: Zoom) => void): Zoomer {
  const node = select(pane);
  const made = d3Zoom<HTMLDivElement, unknown>()
    .scaleExtent([0.2, 40])
    .filter((event: MouseEvent | TouchEvent) => {
      const one = 'touches' in event ? (event as TouchEvent).touches.length < 2 : event.type === 'mousedown';
      if (!one) return !event.ctrlKey || event.type === 'wheel';
      // A press or one finger belongs to what it is on; the wheel and two fingers zoom wherever they are.
      const held = event.target instanceof Element && event.target.closest('[data-drag]');
      return !held && !('touches' in event && isFitted(zoomTransform(node.node()!).k));
    })
    .on('zoom', ({ transform: { k, x, y } }: { transform: Zoom }) => moving({ k, x, y }))
    .on('end', ({ transform: { k, x, y } }: { transform: Zoom }) => rests({ k, x, y }));
  node.call(made).on('dblclick.zoom', null);
  return {
    fit: () => made.transform(node, zoomIdentity),
    by: (factor) => made.scaleBy(node, factor),
    end: () => node.on('.zoom', null),
  };
}
