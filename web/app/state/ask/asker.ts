/**
 * Asking a worker: one question at a time, with progress; the newest of a topic wins; what takes too
 * long, or is no longer wanted, is called off by ending the worker. A job is sent once for all
 * questions about it.
 */
import { proxy, type Remote, wrap } from 'comlink';
import { within } from '../../ui/limit.ts';
import type { AskWorker } from './ask.worker.ts';
import type { AnswerOf, ArgsOf, Job, Question } from './questions.ts';

/** What takes longer is called off, ms. */
const LONGEST_ANSWER = 10_000;
/**
 * What a new worker takes to its first answer, ms: it reads the core anew and has nothing warm. Taken to
 * be so long until one was seen, and at most, since a first question may be a long one.
 */
const START = 1000;

export interface How {
  /** Newer questions of a topic take the place of older ones. */
  readonly topic: string;
  readonly limit?: number;
  readonly onProgress?: (share: number) => void;
}

/** Null: called off, for a newer one or because it took too long. */
type Answer<Q extends Question> = AnswerOf<Q> | null;

interface Waiting {
  readonly job: Job;
  readonly question: Question;
  readonly args: readonly unknown[];
  readonly how: How;
  readonly done: (answer: unknown) => void;
}

interface Thread {
  readonly worker: Worker;
  readonly core: Remote<AskWorker>;
  readonly made: number;
  /** The job it holds. */
  job: Job | null;
  /** It has answered before. */
  warm: boolean;
}

/** What an asker needs of its surroundings: handed in, so that tests can stand in for a worker. */
export type MakeThread = () => { readonly worker: Worker; readonly core: Remote<AskWorker> };

const browser: MakeThread = () => {
  const worker = new Worker(new URL('./ask.worker.ts', import.meta.url), { type: 'module' });
  return { worker, core: wrap<AskWorker>(worker) };
};

export class Asker {
  readonly #make: MakeThread;
  readonly #endStale: boolean;
  readonly #waiting = new Map<string, Waiting>();
  #thread: Thread | null = null;
  #running: { readonly asked: Waiting; readonly since: number } | null = null;
  #start = START;

  /** @param endStale a running question whose topic has a newer one is ended; else its answer counts */
  constructor({ endStale = false, make = browser }: { endStale?: boolean; make?: MakeThread } = {}) {
    this.#endStale = endStale;
    this.#make = make;
  }

  ask<Q extends Question>(job: Job, question: Q, args: ArgsOf<Q>, how: How): Promise<Answer<Q>> {
    return new Promise((resolve) => {
      const done = resolve as (answer: unknown) => void;
      this.#waiting.get(how.topic)?.done(null);
      this.#waiting.set(how.topic, { job, question, args, how, done });
      const running = this.#running;
      if (!running) void this.#next();
      else if (this.#endStale && running.asked.how.topic === how.topic) this.#endSoon(running);
    });
  }

  /** Nobody wants an answer on a topic any more. */
  callOff(topic: string): void {
    this.#waiting.get(topic)?.done(null);
    this.#waiting.delete(topic);
    if (this.#running?.asked.how.topic === topic) this.#endSoon(this.#running);
  }

  stop(): void {
    for (const one of this.#waiting.values()) one.done(null);
    this.#waiting.clear();
    this.#end();
  }

  /**
   * Ending a worker costs a start. So what is no longer wanted may end by itself for as long as that
   * takes: whichever way it goes, no more than twice the least is lost.
   */
  #endSoon(running: { readonly asked: Waiting; readonly since: number }): void {
    setTimeout(
      () => {
        if (this.#running === running) this.#end();
      },
      Math.max(0, this.#start - (performance.now() - running.since)),
    );
  }

  /** Ends the worker with whatever it does. */
  #end(): void {
    this.#thread?.worker.terminate();
    this.#thread = null;
    const running = this.#running;
    this.#running = null;
    running?.asked.done(null);
    if (running && this.#waiting.size > 0) void this.#next();
  }

  async #next(): Promise<void> {
    const [asked] = this.#waiting.values();
    if (!asked) return;
    const { job, question, args, how } = asked;
    this.#waiting.delete(how.topic);
    const running = { asked, since: performance.now() };
    this.#running = running;
    this.#thread ??= { ...this.#make(), made: performance.now(), job: null, warm: false };
    const thread = this.#thread;
    const progress = proxy((share: number) => {
      if (this.#running === running) how.onProgress?.(share);
    });
    const answer = async () => {
      if (thread.job !== job) {
        thread.job = job;
        await thread.core.job(job);
      }
      // Which arguments a question takes was settled where it was asked.
      const { ask } = thread.core as unknown as {
        ask: (q: Question, a: readonly unknown[], p: unknown) => Promise<unknown>;
      };
      return ask(question, args, progress);
    };
    const limit = how.limit ?? LONGEST_ANSWER;
    const late = performance.now() + limit;
    const value = await within(thread.worker, answer(), limit).catch(() => null);
    // It was ended meanwhile, and somebody else is running.
    if (this.#running !== running) return;
    if (value === null && performance.now() >= late) return this.#end();
    if (!thread.warm) this.#start = Math.min(START, performance.now() - thread.made);
    thread.warm = true;
    this.#running = null;
    asked.done(value);
    if (this.#waiting.size > 0) void this.#next();
  }
}
