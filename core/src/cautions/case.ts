/** What a row of the table of cautions is given, and what it gives. */
import { type Rules, rulesOf } from '../dig/index.ts';
import type { Caution, CautionStage, Lifter, Weight } from '../results/index.ts';
import type { ElementTakeoff, Job } from '../takeoff/index.ts';

export interface Case {
  readonly job: Job;
  readonly rules: Rules;
  /** Elements that are dug. */
  readonly live: readonly ElementTakeoff[];
  /** Those deep enough for people in them to need protection. */
  readonly needing: readonly ElementTakeoff[];
}

export const EPS = 1e-6;

/** Whose limits the sides go by. */
export const whose = ({ job: { plan } }: Case): { readonly codes: Codes } => ({
  codes: { rules: plan.ruleSet },
});

export function caseOf(job: Job): Case {
  const live = job.elements.filter((element) => element.live);
  const needing = live.filter((e) => e.rule.protectFrom !== null && e.depth >= e.rule.protectFrom - EPS);
  return { job, rules: rulesOf(job.plan), live, needing };
}

type Values = NonNullable<Caution['values']>;
type Names = NonNullable<Caution['names']>;
type Codes = NonNullable<Caution['codes']>;

/** Where a caution applies and with which numbers; `weight` when it is another than its row says. */
export interface Finding {
  readonly elements: readonly string[];
  readonly values?: Values;
  readonly names?: Names;
  readonly codes?: Codes;
  readonly weight?: Weight;
}

export interface CautionRow {
  readonly weight: Weight;
  readonly stage: CautionStage;
  /** Who lifts it, where that is not the competent person on site. */
  readonly lifts?: Exclude<Lifter, 'competent'>;
  /** Where it is worst it is a stop. */
  readonly graver?: true;
  /** Said on every dig, whatever is planned. */
  readonly standing?: true;
  readonly find: (at: Case) => readonly Finding[];
}

/** One finding for all of some elements; none when there are none. Numbers are worked out only then. */
export function all(
  elements: readonly ElementTakeoff[],
  values?: () => Values,
  { names, codes }: { readonly names?: Names; readonly codes?: Codes } = {},
): Finding[] {
  if (elements.length === 0) return [];
  return [
    {
      elements: elements.map((element) => element.id),
      ...(values && { values: values() }),
      ...(names && { names }),
      ...(codes && { codes }),
    },
  ];
}

/** A finding of one element, by its name; `weight` when it is another than its row says. */
export const one = (e: ElementTakeoff, values: Values, weight?: Weight): Finding => ({
  elements: [e.id],
  names: { name: e.element.name },
  values,
  ...(weight && { weight }),
});

/** One finding of the whole job. */
export const job = (values?: Values, names?: Names): Finding[] => [
  { elements: [], ...(values && { values }), ...(names && { names }) },
];

export const most = (elements: readonly ElementTakeoff[], of: (e: ElementTakeoff) => number): number =>
  Math.max(...elements.map(of));
export const least = (elements: readonly ElementTakeoff[], of: (e: ElementTakeoff) => number): number =>
  Math.min(...elements.map(of));
