/** One press that says a thing was left out on purpose: it is asked for no more. */
import { isAssumed } from '@cimiento/core';
import { settle, useDesk, useDeskStore } from '../state/store.ts';
import { Button } from '../ui/controls.tsx';

/** @param pointer of what nobody has said yet; once somebody has, there is nothing to press */
export function OnPurpose({ pointer, children }: { pointer: string; children: string }) {
  const { edit } = useDeskStore().getState();
  const open = useDesk((desk) => isAssumed(desk.plan, pointer));
  return open ? (
    <Button data-on-purpose={pointer} onClick={() => edit((d) => settle(d, pointer))}>
      {children}
    </Button>
  ) : null;
}
