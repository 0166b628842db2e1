/** The core in a worker: takes a job, and answers questions about it. */
import { expose } from 'comlink';
import { type ArgsOf, Desk, type Job, type Question } from './questions.ts';

/** Told no oftener than this, ms. */
const TOLD = 100;

const desk = new Desk();
const api = {
  job: (job: Job) => desk.job(job),
  ask<Q extends Question>(question: Q, args: ArgsOf<Q>, progress: (share: number) => void) {
    let told = performance.now();
    const tell = (share: number) => {
      const now = performance.now();
      if (now - told < TOLD) return;
      told = now;
      void progress(Math.min(1, share));
    };
    return desk.ask(question, args, tell, () => performance.now());
  },
};
export type AskWorker = typeof api;
expose(api);
