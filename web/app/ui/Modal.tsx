/** A dialog: one at a time, closed by Escape unless it must be answered. */
import { Suspense, useRef } from 'react';
import { later } from './later.tsx';
import type { ModalProps } from './ModalDialog.tsx';

const ModalDialog = later(() => import('./ModalDialog.tsx'), 'ModalDialog');

export function Modal(props: ModalProps) {
  // Nothing of it is there before it was wanted once.
  const wanted = useRef(false);
  wanted.current ||= props.open;
  if (!wanted.current) return null;
  return (
    <Suspense fallback={null}>
      <ModalDialog {...props} />
    </Suspense>
  );
}
