/** Balances that prove an answer. Tests, screens and the command line call the same ones. */

import type { Check } from '../compute/takeoff.ts';
import type { Spoil } from '../dig/spoil.ts';

const RELATIVE = 1e-6;

const check = (code: string, expected: number, found: number): Check => ({
  code,
  expected,
  found,
  ok: Math.abs(found - expected) <= RELATIVE * Math.max(1e-3, Math.abs(expected)),
});

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

/**
 * Soil balance, bank m³: by stratum = whole; by element = whole; neat + causes = whole;
 * kept + topsoil + hauled = whole.
 */
export function soilBalance(
  total: number,
  byStratum: readonly number[],
  byElement: readonly number[],
  parts: readonly number[],
  spoil: Spoil,
): Check[] {
  return [
    check('strata', total, sum(byStratum)),
    check('elements', total, sum(byElement)),
    check('causes', total, sum(parts)),
    check('soil', total, spoil.keptBank + spoil.keptTopsoil + spoil.hauledBank),
  ];
}

/** Stack closure: formation + bed + blinding + footing comes back to the footing's top, m. */
export const stackClosure = (formation: number, layers: readonly number[], top: number): Check =>
  check('stack', top, formation + sum(layers));
