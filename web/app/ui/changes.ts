/** One changed value of a plan in words: what it is of, what it was, what it is. */
import {
  COMPACTOR_IDS,
  FIELDS,
  isField,
  type Plan,
  type PlanChange,
  PUMP_IDS,
  WORDINGS,
  type Wording,
  wholeText,
} from '@cimiento/core';
import { coded, type Say } from '../messages/keys.ts';
import { oneOf } from '../preferences.ts';
import type { Format } from './format.tsx';
import { compactorText, pumpText } from './plant.ts';

/** Choices by their words; some carry a mass or a size. */
function choiceText(t: Say, format: Format, choice: string, value: string): string {
  const compactor = choice === 'compactor' ? oneOf(COMPACTOR_IDS, value) : null;
  if (compactor) return compactorText(t, format, compactor);
  const pump = choice === 'night.pumps' ? oneOf(PUMP_IDS, value) : null;
  return pump ? pumpText(t, format, pump) : t(coded(`${choice}.${value}`), { defaultValue: value });
}

export interface ChangeWords {
  readonly what: string;
  /** Absent when the thing itself came, went or is too large to print. */
  readonly from?: string;
  readonly to: string;
}

const wordingOf = (pattern: string): Wording | null =>
  Object.hasOwn(WORDINGS, pattern) ? WORDINGS[pattern as keyof typeof WORDINGS] : null;

/** The name of a pattern, or of the nearest that holds it and has one; null when none does. */
function labelOf(t: Say, pattern: string): string | null {
  for (let up = pattern; up !== ''; up = up.slice(0, up.lastIndexOf('/'))) {
    const wording: Wording | null = isField(up) ? FIELDS[up] : wordingOf(up);
    if (wording) return t(coded(wording.label));
  }
  return null;
}

/** Every pattern of the tables and what holds it: tells a list's id from a key. */
const KNOWN = new Set(
  [...Object.keys(FIELDS), ...Object.keys(WORDINGS)].flatMap((pattern) =>
    pattern.split('/').map((_, i, keys) => keys.slice(0, i + 1).join('/')),
  ),
);

const nameOf = (value: unknown): string =>
  typeof value === 'object' && value !== null && 'name' in value && typeof value.name === 'string'
    ? value.name
    : '';

/** The things a change lies within, by name, and the pattern of what changed. */
function placeOf(plan: Plan, change: PlanChange): { names: string[]; pattern: string } {
  const keys = change.path.split('/').slice(1);
  const names: string[] = [];
  let pattern = '';
  let at: unknown = plan;
  keys.forEach((key, i) => {
    if (KNOWN.has(`${pattern}/${key}`)) {
      pattern = `${pattern}/${key}`;
      at = typeof at === 'object' && at !== null ? (at as Record<string, unknown>)[key] : undefined;
      return;
    }
    pattern = `${pattern}/*`;
    at = Array.isArray(at) ? at.find((item: { id?: unknown }) => item?.id === key) : undefined;
    const last = i === keys.length - 1;
    const name = nameOf(at) || (last ? nameOf(change.to) || nameOf(change.from) : '');
    if (name) names.push(name);
  });
  return { names, pattern };
}

const LONGEST = 40;

/** @param plan either of the two: it gives the names of what the path goes through */
export function changeText(t: Say, format: Format, plan: Plan, change: PlanChange): ChangeWords {
  const { names, pattern } = placeOf(plan, change);
  const field = isField(pattern) ? FIELDS[pattern] : null;
  const label = labelOf(t, pattern) ?? t('fields.unknown');
  const what = names.length > 0 ? t('fields.named', { names: names.join(' · '), what: label }) : label;
  const listOf = {
    soils: plan.ground.soils,
    floors: plan.levels.floors,
    machines: plan.dig.machines,
    beds: plan.beds,
    strings: plan.levels.strings,
    elements: plan.elements,
  };
  const print = (value: unknown): string | null => {
    if (value === null || value === undefined) return t('fields.open');
    if (typeof value === 'number') return field ? format.text(value, field.kind) : String(value);
    if (typeof value === 'boolean') return t(value ? 'fields.yes' : 'fields.no');
    if (typeof value !== 'string') return null;
    const own = wordingOf(pattern);
    if (own?.of) return listOf[own.of].find((item) => item.id === value)?.name ?? value;
    return own?.choice ? choiceText(t, format, own.choice, value) : wholeText(value, LONGEST);
  };
  // A thing of a list that came or went; a value that was open before is not one.
  if (pattern.endsWith('/*') && change.from === undefined) return { what, to: t('fields.added') };
  if (pattern.endsWith('/*') && change.to === undefined) return { what, to: t('fields.removed') };
  const [from, to] = [print(change.from), print(change.to)];
  return from === null || to === null ? { what, to: t('fields.changed') } : { what, from, to };
}

/** Where in a plan file something is wrong, in words: what it is, and which of a list. */
export function placeText(t: Say, path: string): string {
  let pattern = '';
  const which: string[] = [];
  for (const key of path.split('/').slice(1)) {
    if (KNOWN.has(`${pattern}/${key}`)) pattern = `${pattern}/${key}`;
    else if (KNOWN.has(`${pattern}/*`)) {
      pattern = `${pattern}/*`;
      which.push(/^\d+$/.test(key) ? String(Number(key) + 1) : key);
    } else break;
  }
  const label = labelOf(t, pattern) ?? wholeText(path.split('/').at(-1) ?? '', LONGEST);
  return which.length > 0 ? `${label} ${which.join(' · ')}` : label;
}
