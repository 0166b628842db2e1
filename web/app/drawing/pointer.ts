import type { View } from './view.ts';

/** Where in the world, m, a pointer stands over a plan drawing. */
export function worldAt(
  svg: SVGSVGElement,
  view: View,
  { clientX, clientY }: { readonly clientX: number; readonly clientY: number },
): readonly [number, number] {
  const rect = svg.getBoundingClientRect();
  const ratio = view.width / rect.width;
  return [view.east((clientX - rect.left) * ratio), view.north((clientY - rect.top) * ratio)];
}

/**
 * Follows one pointer from the press that began a drag to its release, wherever it goes. Listens on
 * the window: what is dragged may be put elsewhere in the drawing meanwhile and lose its capture.
 */
export function trackPointer(
  target: SVGElement,
  pointerId: number,
  move: (event: PointerEvent) => void,
  end: () => void,
): void {
  target.setPointerCapture(pointerId);
  const mine = (handler: (event: PointerEvent) => void) => (event: PointerEvent) => {
    if (event.pointerId === pointerId) handler(event);
  };
  let last: { readonly x: number; readonly y: number } | null = null;
  const moved = mine((event) => {
    last = { x: event.clientX, y: event.clientY };
    move(event);
  });
  // A second finger means two, which zoom: what the first held stays where it has come to.
  const second = (event: PointerEvent) => {
    if (event.pointerId !== pointerId && event.pointerType === 'touch') over();
  };
  const over = () => {
    removeEventListener('pointermove', moved);
    removeEventListener('pointerdown', second, true);
    removeEventListener('pointerup', finish);
    removeEventListener('pointercancel', finish);
    end();
  };
  const finish = mine((event) => {
    // Where the hand let go, also when a busy page was told of the last move no other way.
    const further = last && (last.x !== event.clientX || last.y !== event.clientY);
    if (further && event.type === 'pointerup') move(event);
    over();
  });
  addEventListener('pointermove', moved);
  addEventListener('pointerdown', second, true);
  addEventListener('pointerup', finish);
  addEventListener('pointercancel', finish);
}

/**
 * Drags something up or down in a drawing whose picture is `height` units tall: tells how far, in
 * those units, at every move.
 */
export function dragDepth(
  event: React.PointerEvent<SVGElement>,
  height: number,
  moved: (units: number, event: PointerEvent) => void,
  end: () => void,
): void {
  const svg = event.currentTarget.ownerSVGElement;
  if (event.button !== 0 || !svg) return;
  event.preventDefault();
  event.currentTarget.focus();
  const ratio = height / svg.getBoundingClientRect().height;
  const start = event.clientY;
  trackPointer(event.currentTarget, event.pointerId, (e) => moved((e.clientY - start) * ratio, e), end);
}

/** How far down a drawing a pointer stands now, in the drawing's own units, whatever size it is shown at. */
export function depthAt(svg: SVGSVGElement, { clientY }: { readonly clientY: number }): number {
  const { top, height } = svg.getBoundingClientRect();
  return ((clientY - top) * svg.viewBox.baseVal.height) / height;
}

/** Which way an arrow key moves a place, in steps of `step` m; null for other keys. */
export function arrowMove(key: string, step: number): readonly [number, number] | null {
  switch (key) {
    case 'ArrowLeft':
      return [-step, 0];
    case 'ArrowRight':
      return [step, 0];
    case 'ArrowUp':
      return [0, step];
    case 'ArrowDown':
      return [0, -step];
    default:
      return null;
  }
}
