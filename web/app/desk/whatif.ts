/** What-ifs in the background: whole takeoffs of changed plans, so never on the page's own thread. */
import type { Alternative, Difference, DigOrder, Plan, RuleCost } from '@cimiento/core';
import { type Remote, wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { ComputeWorker } from './compute.worker.ts';

let worker: Remote<ComputeWorker> | null = null;
/** One worker for all what-ifs, apart from the one that keeps the takeoff up to date. */
function ask(): Remote<ComputeWorker> {
  worker ??= wrap<ComputeWorker>(
    new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' }),
  );
  return worker;
}

/** Quiet time before a what-if is asked: typing asks once, not at every key, ms. */
const QUIET = 250;

function useAsked<T>(
  plan: Plan | null,
  key: string,
  question: (core: Remote<ComputeWorker>) => Promise<T>,
): T | null {
  const [answer, setAnswer] = useState<{ readonly key: string; readonly value: T } | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the question is the plan and the key
  useEffect(() => {
    if (plan === null) return setAnswer(null);
    let stale = false;
    const timer = setTimeout(() => {
      question(ask()).then(
        (value) => !stale && setAnswer({ key, value }),
        () => !stale && setAnswer(null),
      );
    }, QUIET);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [plan, key]);
  return answer?.key === key ? answer.value : null;
}

/** What each depth rule would cost if it decided; null until the answer is there. */
export const useRuleCosts = (plan: Plan, index: number, deeper: number): RuleCost[] | null =>
  useAsked(plan, `${index}:${deeper}`, (core) => core.ruleCosts(plan, index, deeper));

/** What each of the engineer's instructions changes. */
export const useInstructionCosts = (
  plan: Plan,
): { readonly id: string; readonly change: Difference | null }[] | null =>
  useAsked(plan, 'words', (core) => core.instructionCosts(plan));

/** An element's sides sloped back, benched and shored. */
export const useAlternatives = (plan: Plan, index: number): Alternative[] | null =>
  useAsked(plan, `ways:${index}`, (core) => core.alternatives(plan, index));

/** The order of digging: the person's own, or the best found. */
export const useDigOrder = (plan: Plan | null): DigOrder | null =>
  useAsked(plan, 'order', async (core) => (plan === null ? null : core.digOrder(plan)));
