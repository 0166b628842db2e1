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

/** A moment as a person says it: the hour of today, else day and hour. */
export function momentText(at: string | number, lang: string): string {
  const then = new Date(at);
  const today = then.toDateString() === new Date().toDateString();
  const time = then.toLocaleTimeString(lang, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
  return today ? time : `${then.toLocaleDateString(lang, { day: 'numeric', month: 'short' })} ${time}`;
}
