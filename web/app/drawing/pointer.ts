/** Follows one pointer from the press that began a drag to its release, wherever it goes. */
export function trackPointer(
  target: SVGElement,
  pointerId: number,
  move: (event: PointerEvent) => void,
  end: () => void,
): void {
  target.setPointerCapture(pointerId);
  const finish = () => {
    target.removeEventListener('pointermove', move);
    target.removeEventListener('pointerup', finish);
    target.removeEventListener('pointercancel', finish);
    end();
  };
  target.addEventListener('pointermove', move);
  target.addEventListener('pointerup', finish);
  target.addEventListener('pointercancel', finish);
}
