/** Every long question that is asked of a job apart from the page's own thread: one row a question. */
import {
  alternatives,
  boundsOf,
  type CutCause,
  chanceDry,
  compute,
  concreteInstead,
  dewateringMethods,
  digOn,
  digSequence,
  holeView,
  instructionCost,
  lowWays,
  nightOf,
  nightRest,
  type Ordered,
  orderedComesTo,
  orderedFrom,
  overdigShape,
  type Plan,
  programmeOf,
  proofsOf,
  type Remedied,
  remedyCost,
  ruleCosts,
  type SiteRecord,
  stoppedBy,
  type Takeoff,
  workingWays,
} from '@cimiento/core';
import { today } from '../../ui/today.ts';

export interface Job {
  readonly plan: Plan;
  readonly records: readonly SiteRecord[];
}

/** What a question is given beside what was asked. */
export interface Asked extends Job {
  /** The job's takeoff: worked out once for all questions about it. */
  readonly takeoff: () => Takeoff;
  /** Tells how far it is, 0…1. */
  readonly progress: (share: number) => void;
  /** ms since it began. */
  readonly since: () => number;
}

/** A search for a better order ends after this, ms. */
const LONGEST_SEARCH = 4000;

const QUESTIONS = {
  takeoff: (job: Asked) => job.takeoff(),
  hole: ({ plan, takeoff }: Asked) => holeView(plan, takeoff(), today(plan.water.zone)),
  days: ({ plan, records, takeoff }: Asked, order: readonly string[], day: string) => {
    const made = takeoff();
    const days = programmeOf(plan, made, { order, today: day, records });
    const bays = new Map(made.elements.flatMap(({ id, bays: own }) => (own ? [[id, own] as const] : [])));
    return { days, plan, bays };
  },
  digOn: ({ plan, takeoff }: Asked, element: string, by: number) => digOn(plan, takeoff(), element, by),
  ordered: ({ plan, takeoff }: Asked, ordered: Ordered) => ({
    from: orderedFrom(plan, takeoff(), ordered),
    ...orderedComesTo(plan, takeoff(), ordered),
  }),
  ruleCosts: (job: Asked, index: number, deeper: number) => ruleCosts(job.plan, job.takeoff(), index, deeper),
  instructionCosts: ({ plan, takeoff, progress }: Asked) =>
    plan.levels.instructions.map(({ id }, i, all) => {
      progress(i / all.length);
      return { id, change: instructionCost(plan, takeoff(), id) };
    }),
  alternatives: (job: Asked, index: number) => alternatives(job.plan, job.takeoff(), index),
  concreteInstead: (job: Asked, index: number) => concreteInstead(job.plan, job.takeoff(), index),
  lowWays: (job: Asked) => lowWays(job.plan, job.takeoff()),
  workingWays: (job: Asked, index: number) => workingWays(job.plan, job.takeoff(), index),
  bounds: ({ plan, takeoff, progress }: Asked) => boundsOf(plan, takeoff(), progress),
  proofs: ({ plan, takeoff }: Asked) => stoppedBy(proofsOf(plan, takeoff())),
  remedy: ({ plan, takeoff }: Asked, code: Remedied) => remedyCost(plan, takeoff(), code),
  overdigShape: (job: Asked, cause: CutCause) => overdigShape(job.plan, job.takeoff(), cause),
  dewatering: (job: Asked) => dewateringMethods(job.plan, job.takeoff()),
  night: (job: Asked) => nightOf(job.plan, job.takeoff()),
  nightRest: ({ plan, takeoff }: Asked, element: string) => nightRest(plan, takeoff(), element),
  chanceDry: ({ plan, takeoff, progress }: Asked, element: string) =>
    chanceDry(plan, takeoff(), [element], 1000, progress),
  digSequence: (job: Asked) =>
    digSequence(job.plan, job.takeoff(), () => {
      job.progress(job.since() / LONGEST_SEARCH);
      return job.since() < LONGEST_SEARCH;
    }),
} as const;

export type Question = keyof typeof QUESTIONS;
type Rest<T> = T extends (job: Asked, ...rest: infer R) => unknown ? R : never;
export type ArgsOf<Q extends Question> = Rest<(typeof QUESTIONS)[Q]>;
export type AnswerOf<Q extends Question> = ReturnType<(typeof QUESTIONS)[Q]>;

const butDays = ({ plan, records }: Job): string => JSON.stringify([{ ...plan, days: null }, records]);
const sameButDays = (before: Job, after: Job): boolean => butDays(before) === butDays(after);

/** A job and what was worked out of it: kept while questions about it come. */
export class Desk {
  #job: Job | null = null;
  #takeoff: Takeoff | null = null;

  /** Another job, or another state of it. When it is worked moves nothing that is worked out of it. */
  job(job: Job): void {
    if (this.#job === null || !sameButDays(this.#job, job)) this.#takeoff = null;
    this.#job = job;
  }

  ask<Q extends Question>(
    question: Q,
    args: ArgsOf<Q>,
    progress: (share: number) => void,
    clock: () => number,
  ): AnswerOf<Q> {
    const job = this.#job;
    if (!job) throw new Error('A question was asked before there was a job.');
    const start = clock();
    const asked: Asked = {
      ...job,
      takeoff: () => {
        this.#takeoff ??= compute(job.plan, job.records);
        return this.#takeoff;
      },
      progress,
      since: () => clock() - start,
    };
    const answer = QUESTIONS[question] as (asked: Asked, ...rest: unknown[]) => AnswerOf<Q>;
    return answer(asked, ...args);
  }
}
