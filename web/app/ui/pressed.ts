/** What must not move while a pointer is down: a button that slides away from under a finger is not pressed. */

const CAPTURE = { capture: true } as const;
let down = false;
if (typeof window !== 'undefined') {
  const say = (is: boolean) => () => {
    down = is;
  };
  window.addEventListener('pointerdown', say(true), CAPTURE);
  window.addEventListener('pointerup', say(false), CAPTURE);
  window.addEventListener('pointercancel', say(false), CAPTURE);
}

/** Calls back at once; while a pointer is down, after it is up and its click was told. */
export function afterPress(then: () => void): void {
  if (!down) {
    then();
    return;
  }
  const up = () => {
    window.removeEventListener('pointerup', up, CAPTURE);
    window.removeEventListener('pointercancel', up, CAPTURE);
    setTimeout(then);
  };
  window.addEventListener('pointerup', up, CAPTURE);
  window.addEventListener('pointercancel', up, CAPTURE);
}
