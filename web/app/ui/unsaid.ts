/** What nobody has said, in words: an assumption by its pointer, frost, water. */
import type { Plan } from '@cimiento/core';
import type { Key, Say } from '../messages/keys.ts';
import { changeText } from './changes.ts';
import type { Format } from './format.tsx';

/** The pointer with the ids of what it goes through in the place of positions, and the value it leads to. */
function followed(plan: Plan, pointer: string): { path: string; value: unknown } {
  let at: unknown = plan;
  const path = pointer
    .split('/')
    .slice(1)
    .map((key) => {
      const next = typeof at === 'object' && at !== null ? (at as Record<string, unknown>)[key] : undefined;
      const id = Array.isArray(at) && typeof next === 'object' && next !== null && 'id' in next;
      at = next;
      return id ? String((next as { id: unknown }).id) : key;
    });
  return { path: `/${path.join('/')}`, value: at };
}

const LEFT_OUT: Readonly<Record<string, Key>> = {
  '/beds': 'pencil.bare',
  '/ground/hazards': 'pencil.nothingNear',
  '/water/storm': 'pencil.noRain',
};

/** What it is, and what is assumed of it where that is one value. */
export function unsaidText(t: Say, format: Format, plan: Plan, unsaid: string): string {
  if (unsaid === 'frost' || unsaid === 'water') return t(`pencil.${unsaid}`);
  // What is left out is said by what that means.
  const left = LEFT_OUT[unsaid];
  if (left) return t(left);
  const { path, value } = followed(plan, unsaid);
  const single = typeof value === 'number' || typeof value === 'string';
  const name = typeof value === 'object' && value !== null && 'name' in value ? String(value.name) : '';
  const { what, to } = changeText(t, format, plan, { path, from: null, to: single ? value : {} });
  if (single) return `${what}: ${to}`;
  // What it is first, then which.
  const label = name === '' ? what : what.replace(t('fields.named', { names: name, what: '' }), '');
  return name === '' ? what : `${label}: ${name}`;
}
