/** What-ifs in the background: whole takeoffs of changed plans, so never on the page's own thread. */
import type {
  After,
  Alternative,
  Bounds,
  CauseCut,
  CutCause,
  DewateredHole,
  Difference,
  DigSequence,
  LowWay,
  MeanNight,
  NightAnswer,
  NightChance,
  Plan,
  Remedied,
  RuleCost,
  SiteRecord,
  Stopped,
  WorkingCost,
} from '@cimiento/core';
import { useEffect, useMemo, useState } from 'react';
import { useDesk } from '../store.ts';
import { Asker } from './asker.ts';
import type { AnswerOf, ArgsOf, Job, Question } from './questions.ts';

let asker: Asker | null = null;
/** One worker for all what-ifs, apart from the one that keeps the takeoff up to date. */
const what = (): Asker => {
  asker ??= new Asker({ endStale: true });
  return asker;
};

/** Jobs as they are asked about: one object a plan and its records, so that it is sent once. */
const jobs = new WeakMap<Plan, Job>();
function jobOf(plan: Plan, records: readonly SiteRecord[]): Job {
  const known = jobs.get(plan);
  if (known?.records === records) return known;
  const job = { plan, records };
  jobs.set(plan, job);
  return job;
}

/** Answers by job and question: several panels that ask the same wait for one. */
const answers = new WeakMap<Job, Map<string, Promise<unknown>>>();

function askOnce<Q extends Question>(
  job: Job,
  question: Q,
  args: ArgsOf<Q>,
  onProgress: (share: number) => void,
): Promise<AnswerOf<Q> | null> {
  const known = answers.get(job) ?? new Map<string, Promise<unknown>>();
  answers.set(job, known);
  const key = JSON.stringify([question, args]);
  const before = known.get(key);
  if (before) return before as Promise<AnswerOf<Q> | null>;
  const asked = what()
    .ask(job, question, args, { topic: question, onProgress })
    .then((value) => {
      // What was called off is asked again by the next who wants it.
      if (value === null) known.delete(key);
      return value;
    });
  known.set(key, asked);
  return asked;
}

/** Quiet time before a what-if is asked: typing asks once, not at every key, ms. */
const QUIET = 250;

interface Asked<T> {
  readonly value: T | null;
  /** How far it is while there is no answer, 0…1. */
  readonly share: number;
}

function useAsked<Q extends Question>(
  plan: Plan | null,
  question: Q,
  args: ArgsOf<Q>,
  quiet = QUIET,
): Asked<AnswerOf<Q>> {
  const records = useDesk((desk) => desk.records);
  const key = args.join();
  const [answer, setAnswer] = useState<{ readonly key: string; readonly value: AnswerOf<Q> } | null>(null);
  const [share, setShare] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the question is the plan and the key
  useEffect(() => {
    if (plan === null) return setAnswer(null);
    let stale = false;
    const timer = setTimeout(() => {
      setShare(0);
      void askOnce(jobOf(plan, records), question, args, setShare).then((value) => {
        if (!stale) setAnswer(value === null ? null : { key, value });
      });
    }, quiet);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [plan, records, key]);
  const value = answer?.key === key ? answer.value : null;
  return useMemo(() => ({ value, share }), [value, share]);
}

/** What each depth rule would cost if it decided; null until the answer is there. */
export const useRuleCosts = (plan: Plan, index: number, deeper: number): RuleCost[] | null =>
  useAsked(plan, 'ruleCosts', [index, deeper]).value;

/** What each of the engineer's instructions changes. */
export const useInstructionCosts = (
  plan: Plan,
): { readonly id: string; readonly change: Difference | null }[] | null =>
  useAsked(plan, 'instructionCosts', []).value;

/** An element's sides sloped back, benched and shored. */
export const useAlternatives = (plan: Plan | null, index: number): Alternative[] | null =>
  useAsked(plan, 'alternatives', [index]).value;

/** What a concrete strip in place of a stone footing changes. */
export const useConcreteInstead = (plan: Plan, index: number): Difference | null =>
  useAsked(plan, 'concreteInstead', [index]).value;

/** What bottoms dug low are made up with, three ways. */
export const useLowWays = (plan: Plan): LowWay[] | null => useAsked(plan, 'lowWays', []).value;

/** What people work on under an element, three ways. */
export const useWorkingWays = (plan: Plan, index: number): WorkingCost[] | null =>
  useAsked(plan, 'workingWays', [index]).value;

/** How far what nobody has said could move each figure; only while it is wanted. */
export const useBounds = (plan: Plan | null): Bounds | null => useAsked(plan, 'bounds', []).value;

/** Before the proofs are asked for: they are for who looks, not for who types, ms. */
const STILL = 3000;

/** Figures that another way of working out contradicts; null until that has been asked. */
export const useStopped = (plan: Plan): Stopped | null => useAsked(plan, 'proofs', [], STILL).value;

/** What mending a caution changes. */
export const useRemedy = (plan: Plan | null, code: Remedied): AnswerOf<'remedy'> =>
  useAsked(plan, 'remedy', [code]).value;

/** The dig with a cause of over-dig and without it; only while it is looked at. */
export const useOverdigShape = (plan: Plan | null, cause: CutCause): CauseCut | null =>
  useAsked(plan, 'overdigShape', [cause]).value;

/** The ways to hold the water of every hole. */
export const useDewatering = (plan: Plan): DewateredHole[] | null => useAsked(plan, 'dewatering', []).value;

/** The night the plan expects, hole by hole. */
export const useNight = (plan: Plan | null): NightAnswer | null => useAsked(plan, 'night', []).value;

/** The same night with other means in the hole of an element, and what it leaves there. */
export const useNightRest = (
  plan: Plan | null,
  element: string,
): { readonly means: MeanNight[]; readonly after: After } | null =>
  useAsked(plan, 'nightRest', [element]).value;

/** How often such a night ends dry; and how far the storms are. */
export const useChance = (plan: Plan | null, element: string): Asked<NightChance | null> =>
  useAsked(plan, 'chanceDry', [element]);

/** The order of digging: the person's own, or the best found; and how far the search is. */
export const useDigSequence = (plan: Plan | null): Asked<DigSequence> => useAsked(plan, 'digSequence', []);
