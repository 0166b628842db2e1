/** The keyboard: digits jump between stages, / finds a trench or pad, ? shows the keys. */
import { memo, Suspense, useEffect, useState } from 'react';
import { removeElement } from '../state/removeElement.ts';
import { STAGES, stageAt } from '../state/stages.ts';
import { useDeskStore } from '../state/store.ts';
import { later } from '../ui/later.tsx';
import { focusOn } from '../ui/SkipLinks.tsx';
import { singleKeys } from '../ui/singleKeys.ts';

const KeysDialog = later(() => import('./KeysDialog.tsx'), 'KeysDialog');

/** Inputs that take no letters or digits: a key pressed there steers. */
const PRESSED = /^(checkbox|radio|range|button|submit|file|color)$/;

/** What a key types into; null where it steers. */
function typedInto(target: EventTarget | null): HTMLElement | null {
  if (!(target instanceof HTMLElement)) return null;
  if (target instanceof HTMLInputElement) return PRESSED.test(target.type) ? null : target;
  return target.isContentEditable || /^(TEXTAREA|SELECT)$/.test(target.tagName) ? target : null;
}

export const Keys = memo(function Keys() {
  const store = useDeskStore();
  const [open, setOpen] = useState<'keys' | 'find' | null>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      // What lies under an open dialog is not steered; Escape is the dialog's own.
      if (document.querySelector('[role=dialog]')) return;
      const desk = store.getState();
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
        event.preventDefault();
        if (event.shiftKey) desk.redo();
        else desk.undo();
        return;
      }
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'y') {
        event.preventDefault();
        desk.redo();
        return;
      }
      // From anywhere, a field too, to the next stage and its numbers; with Shift to the one before.
      if ((event.ctrlKey || event.metaKey) && event.key === 'Enter') {
        event.preventDefault();
        if (event.target instanceof HTMLElement) event.target.blur();
        const to = STAGES.indexOf(desk.stage) + (event.shiftKey ? -1 : 1);
        desk.go(STAGES[(to + STAGES.length) % STAGES.length]!);
        requestAnimationFrame(() => focusOn('[data-side]'));
        return;
      }
      const field = typedInto(event.target);
      if (field) {
        if (event.key === 'Escape') field.blur();
        return;
      }
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key !== 'Escape' && !singleKeys()) return;
      const stage = stageAt(event.key);
      if (stage) desk.go(stage);
      else if (event.key === '?') setOpen('keys');
      else if (event.key === '/') {
        event.preventDefault();
        setOpen('find');
      } else if (event.key === 'Delete' && desk.picked) {
        const id = desk.picked;
        desk.edit((d) => {
          removeElement(d, id);
        });
        desk.pick(null);
      } else if (event.key === 'Escape') {
        if (desk.view.placing) desk.look({ placing: null });
        else desk.pick(null);
      }
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [store]);
  return (
    open && (
      <Suspense fallback={null}>
        <KeysDialog what={open} onClose={() => setOpen(null)} />
      </Suspense>
    )
  );
});
