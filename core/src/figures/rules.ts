/**
 * The rules of the workings: the formula as it is printed, and how a line's value comes of its inputs, by
 * their names. A line of a rule is worked out here and nowhere else, so what it shows is what it is.
 */
import { windrow } from '../dig/spoil.ts';
import type { WorkingInput } from '../results/index.ts';
import { holeInflow } from '../water/inflow.ts';

type Of = (input: (name: string) => number, all: readonly number[]) => number;
interface Rule {
  readonly formula: string;
  readonly of: Of;
}

/** A hair over a whole number of loads, steps or lifts is not another. */
const up = (value: number) => Math.ceil(value - 1e-9);
const total = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);
const inflow: Of = (input) =>
  holeInflow(
    input('permeability'),
    input('head'),
    input('held'),
    { radius: input('radius'), length: input('along'), width: input('width') },
    input('reaching'),
  );

export const RULES = {
  sum: { formula: 'Σ', of: (_, all) => total(all) },
  /** The first less all others, and never less than none. */
  rest: { formula: 'V − Σ Vi', of: (_, [first = 0, ...less]) => Math.max(0, first - total(less)) },
  area: { formula: 'V = A·t', of: (_, [area = 0, thick = 0]) => area * thick },
  mass: { formula: 'M = V·ρ', of: (_, [volume = 0, density = 0]) => volume * density },
  loosened: { formula: 'Vl = V·f', of: (_, [volume = 0, factor = 0]) => volume * factor },
  bulk: { formula: 'Vl = Vb·(1 + S)', of: (input) => input('bank') * (1 + input('swell')) },
  tamped: { formula: 'V = Vb·(1 − s)', of: (input) => input('bank') * (1 - input('shrink')) },
  asBank: { formula: 'Vb = V/(1 − s)', of: (input) => input('tamped') / (1 - input('shrink')) },
  pile: {
    formula: 'h = √(A·tan φ)',
    of: (input) => windrow(input('keptLoose') / input('run'), input('repose'), input('highest')).height,
  },
  loads: {
    formula: 'N = ⌈max(Vl/Vt, M/Mt)⌉',
    of: (input) => up(Math.max(input('loose') / input('body'), input('mass') / input('payload'))),
  },
  order: {
    formula: 'V′ = ⌈V·(1 + w)/q⌉·q',
    of: (input) => up((input('volume') * (1 + input('waste'))) / input('step')) * input('step'),
  },
  /** With what does not come out where it is wanted. */
  orderStays: {
    formula: 'V′ = ⌈(V + Vr)·(1 + w)/q⌉·q',
    of: (input) =>
      up(((input('volume') + input('stays')) * (1 + input('waste'))) / input('step')) * input('step'),
  },
  /** Mixed on site: what is wanted is what is made. */
  orderMixed: {
    formula: 'V′ = (V + Vr)·(1 + w)',
    of: (input) => (input('volume') + input('stays')) * (1 + input('waste')),
  },
  trucks: { formula: 'N = ⌈V′/Vt⌉', of: (input) => up(input('ordered') / input('truck')) },
  lifts: {
    formula: 'n = ⌈T/tmax⌉',
    of: (input) => Math.max(1, up(input('bed') / input('liftLimit'))),
  },
  pit: { formula: 'Q = πk(H² − h²)/ln(R/re)', of: inflow },
  trench: { formula: 'Q = πk(H² − h²)/ln(R/rw) + kx(H² − h²)/L0', of: inflow },
} as const satisfies Record<string, Rule>;
export type RuleId = keyof typeof RULES;

/** The value of a rule from its inputs; those that only stand beside it do not count. */
export function worked(rule: RuleId, inputs: readonly WorkingInput[]): number {
  const counted = inputs.filter(({ beside }) => !beside);
  const { of }: Rule = RULES[rule];
  return of(
    (name) => counted.find((input) => input.name === name)?.value ?? 0,
    counted.map(({ value }) => value),
  );
}
