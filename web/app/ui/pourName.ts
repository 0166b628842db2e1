/** What a pour is called: as somebody named it, else by what is cast in it. */
import { elementName, type Plan, type Takeoff } from '@cimiento/core';
import type { Say } from '../messages/keys.ts';

type Named = Pick<Takeoff['pours'][number], 'name' | 'kind' | 'number'>;

export function pourName(t: Say, { name, kind, number }: Named): string {
  if (name !== null) return name;
  const what = t(`pours.kind.${kind ?? 'footings'}`);
  if (number === null) return what;
  return t(kind === 'underpinning' ? 'pours.pass' : 'pours.rise', { what, number });
}

type Cast = Takeoff['pours'][number]['casts'][number];

/** What of an element is cast at once, as a crew calls it. */
export function castName(
  t: Say,
  plan: Plan,
  { element, stage, number }: Cast,
  /** Nothing else of its kind is told apart by a number. */
  alone: boolean,
): string {
  const name = elementName(plan, element);
  if (stage === 'first') return name;
  return `${name}, ${t(`pours.stages.${stage === 'rise' && alone ? 'wall' : stage}`, { number })}`;
}
