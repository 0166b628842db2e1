/** Holds in words. */
import type { Hold, HoleView, Lifter } from '@cimiento/core';
import type { Say } from '../messages/keys.ts';

export const roleText = (t: Say, role: Hold['role'] | Lifter): string => t(`hold.role.${role}`);

/** What it is of: “Bottom T3”, “Set out”, or its own name. */
export function holdName(t: Say, view: HoleView, { kind, name, element }: Hold): string {
  const what = kind === 'own' ? name : t(`hold.kind.${kind}`);
  const of = element === null ? null : (view.things.find(({ id }) => id === element)?.name ?? element);
  return of === null ? what : `${what} ${of}`;
}

export const needText = (t: Say, { code, have, of }: Hold['needs'][number]): string =>
  t(`hold.need.${code}`, { have, of });
