/** The answers of the first minute, out of its form. */
import {
  checkPlan,
  FIELDS,
  FIRST_KINDS,
  type FirstSaid,
  firstJob,
  type Lang,
  outOfRange,
  type Plan,
  type Problem,
  parseQuantity,
  SOIL_KINDS,
  type System,
  wholeText,
} from '@cimiento/core';
import { ASKED, type Asked, SIZES } from '../firstAsked.ts';
import { oneOf, SYSTEMS } from '../preferences.ts';
import { fieldOf } from './body.server.ts';

/** The field of the form that mends what two of them make together. */
const FIELD_OF: Readonly<Record<string, string>> = { stemWider: '/footWidth' };
/** Pads and cross walls one counts on the phone. */
const MOST = 20;

type Read = { readonly ok: true; readonly plan: Plan } | { readonly ok: false; readonly problems: Problem[] };

/** @param lang its decimal sign is what was typed with */
export function readFirst(form: FormData, lang: Lang): Read {
  const problems: Problem[] = [];
  const system: System = oneOf(SYSTEMS, form.get('system')) ?? 'metric';
  const name = wholeText(fieldOf(form, 'name'), 80);
  if (!name) problems.push({ code: 'blank', path: '/name' });
  const quantity = (field: Asked): number | null => {
    const typed = fieldOf(form, field).trim();
    if (typed === '') return null;
    const range = FIELDS[ASKED[field]];
    // Sizes and depths on the phone are metres or feet, however the field of the plan is written.
    const kind = SIZES.includes(field) ? 'size' : 'length';
    const read = parseQuantity(typed, kind, system, lang);
    const path = `/${field}`;
    if (!read.ok) {
      problems.push({ code: 'notANumber', path, value: typed.slice(0, 40) });
      return null;
    }
    if (outOfRange(range, read.value) || read.value < 0)
      problems.push({
        code: 'range',
        path,
        value: read.value,
        min: Math.max(0, range.min),
        max: range.max,
        kind,
      });
    return read.value;
  };
  const count = (field: 'cross' | 'along' | 'across', least: number): number => {
    const typed = fieldOf(form, field).trim();
    if (typed === '') return least;
    const value = Number(typed);
    if (!Number.isInteger(value) || value < least || value > MOST) {
      problems.push({ code: 'range', path: `/${field}`, value, min: least, max: MOST, kind: 'count' });
      return least;
    }
    return value;
  };
  const said: FirstSaid = {
    kind: oneOf(FIRST_KINDS, form.get('kind')),
    length: quantity('length'),
    width: quantity('width'),
    thick: quantity('thick'),
    footing: { width: quantity('footWidth'), thickness: quantity('footThick') },
    apart: quantity('apart'),
    old: quantity('old'),
    down: quantity('down'),
    stream: { away: quantity('away'), deep: quantity('deep'), flood: quantity('flood') },
    cross: count('cross', 0),
    along: count('along', 1),
    across: count('across', 1),
    frost: quantity('frost'),
    soil: oneOf(SOIL_KINDS, form.get('soil')),
    water: quantity('water'),
    near: { yes: true, no: false }[fieldOf(form, 'near')] ?? null,
    call: wholeText(fieldOf(form, 'call'), 120),
  };
  if (problems.length > 0) return { ok: false, problems };
  const plan = { ...firstJob(name, system, said), place: wholeText(fieldOf(form, 'place'), 120) };
  // Each may stand by itself and not with the others: a footing narrower than the wall on it.
  const clash = checkPlan(plan).map((problem) => ({
    ...problem,
    path: FIELD_OF[problem.code] ?? problem.path,
  }));
  return clash.length > 0 ? { ok: false, problems: clash } : { ok: true, plan };
}
