/**
 * Keeps an open desk from growing old: hears what others save and log, and asks for it whenever it may
 * have been deaf (hidden, off line, asleep, a line that went dead). Whatever may be old says since when.
 */
import { PLAN_VERSION, type Plan, type SiteRecord } from '@cimiento/core';
import { joined } from './joined.ts';
import type { DeskStore } from './store.ts';

/** Between looks at whether time has jumped or the line went quiet, ms. */
const TICK = 1000;
/** A tick this late means the machine slept, ms. */
const ASLEEP = 4000;
/** The server says something at least every quarter of a minute: quiet for longer is a dead line, ms. */
const QUIET = 40_000;
/** Between tries when nobody answers, ms. */
const FIRST_WAIT = 1000;
const LONGEST_WAIT = 15_000;
/** While a save is on its way, what is heard may be its own, ms. */
const OWN = 800;

/** A line on which the server tells what happens. */
export interface Line {
  close(): void;
}
export interface Heard {
  open(): void;
  lost(): void;
  /** A sign of life, with the number of a revision when one was saved. */
  word(what: 'beat' | 'records' | 'revision', number?: number): void;
}
/** What following needs of its surroundings: handed in, so that tests can stand in for them. */
export interface Surroundings {
  get(path: string): Promise<Response | null>;
  listen(path: string, heard: Heard): Line;
  now(): number;
  later(task: () => void, delay: number): () => void;
}

export class Follower {
  readonly #store: DeskStore;
  readonly #jobId: string;
  readonly #around: Surroundings;
  #after: number;
  #line: Line | null = null;
  /** Line open, and the last question answered. */
  #open = false;
  #lastWord: number;
  #lastTick: number;
  #busy = false;
  #again = false;
  #wait = FIRST_WAIT;
  #callOff = () => {};
  #endTicks = () => {};
  #stopped = false;

  /** @param after up to which the page's records go */
  constructor(store: DeskStore, jobId: string, after: number, around: Surroundings) {
    this.#store = store;
    this.#jobId = jobId;
    this.#after = after;
    this.#around = around;
    this.#lastWord = around.now();
    this.#lastTick = around.now();
  }

  /** Begins, or begins anew after the page was hidden. */
  start(): void {
    this.#stopped = false;
    this.#listen();
    this.#tick();
  }

  /** Holds no line any more; what is shown may be old from here on. */
  rest(): void {
    this.#stopped = true;
    this.#line?.close();
    this.#line = null;
    this.#endTicks();
    this.#callOff();
    this.#old();
  }

  /** Something may have been missed: what is shown may be old until the server has answered. */
  wake(): void {
    if (this.#stopped) return;
    this.#old();
    this.#listen();
    void this.ask();
  }

  /** The browser says there is no network. */
  readonly lost = (): void => this.#old();

  #listen(): void {
    this.#line?.close();
    this.#open = false;
    this.#lastWord = this.#around.now();
    this.#line = this.#around.listen(`/jobs/${this.#jobId}/events`, {
      open: () => {
        this.#open = true;
        this.#lastWord = this.#around.now();
        void this.ask();
      },
      lost: () => {
        this.#open = false;
        this.#old();
      },
      word: (what, number) => {
        this.#lastWord = this.#around.now();
        if (what !== 'beat') this.#hear(number ?? null);
      },
    });
  }

  #hear(number: number | null): void {
    const { base, saving } = this.#store.getState();
    if (number !== null && number <= base.revision) return;
    if (number !== null && saving.state === 'saving') this.#around.later(() => this.#hear(number), OWN);
    else void this.ask();
  }

  #tick(): void {
    this.#endTicks();
    const now = this.#around.now();
    const slept = now - this.#lastTick > TICK + ASLEEP;
    this.#lastTick = now;
    if (slept || now - this.#lastWord > QUIET) this.wake();
    this.#endTicks = this.#around.later(() => this.#tick(), TICK);
  }

  #old(): void {
    const { asOf } = this.#store.getState();
    if (asOf === null) this.#store.setState({ asOf: this.#lastWord });
  }

  /** Asks for records and plan newer than those here. */
  async ask(): Promise<void> {
    this.#callOff();
    if (this.#busy) {
      this.#again = true;
      return;
    }
    this.#busy = true;
    let answered = false;
    do {
      this.#again = false;
      answered = await this.#askOnce();
    } while (this.#again && !this.#stopped);
    this.#busy = false;
    if (this.#stopped) return;
    if (answered) {
      this.#wait = FIRST_WAIT;
      this.#lastWord = this.#around.now();
      if (this.#open) this.#store.setState({ asOf: null });
      return;
    }
    this.#old();
    this.#callOff = this.#around.later(() => void this.ask(), this.#wait);
    this.#wait = Math.min(2 * this.#wait, LONGEST_WAIT);
  }

  async #askOnce(): Promise<boolean> {
    const { base } = this.#store.getState();
    const [records, newer] = await Promise.all([
      this.#around.get(`/jobs/${this.#jobId}/records?after=${this.#after}`),
      this.#around.get(`/jobs/${this.#jobId}/revisions?newer=${base.revision}`),
    ]);
    if (!records?.ok || !newer?.ok || this.#stopped) return false;
    const read = await Promise.all([records.json(), newer.status === 204 ? null : newer.json()]).catch(
      () => null,
    );
    if (!read || this.#stopped) return false;
    const [logged, saved] = read as [
      { records: SiteRecord[]; last: number },
      { number: number; plan: Plan } | null,
    ];
    this.#after = Math.max(this.#after, logged.last);
    if (logged.records.length > 0)
      this.#store.setState({
        heard: this.#after,
        records: joined(this.#store.getState().records, logged.records),
      });
    if (saved) this.#take(saved);
    return true;
  }

  /** Where nothing is typed the newer plan is shown at once; else saving will find the difference and offer it. */
  #take({ number, plan }: { number: number; plan: Plan }): void {
    const { base, plan: shown, saving } = this.#store.getState();
    if (number <= base.revision || saving.state === 'conflict') return;
    // Saved by a newer program: this one cannot read it, and shows what it has.
    if (plan.version > PLAN_VERSION) {
      this.#store.setState({ outgrown: true });
      return;
    }
    if (shown === base.plan) this.#store.getState().refresh(number, plan);
  }
}

/** Longest wait for an answer, ms. */
const LONGEST_ANSWER = 10_000;

export const browser: Surroundings = {
  get: (path) => fetch(path, { signal: AbortSignal.timeout(LONGEST_ANSWER) }).catch(() => null),
  listen(path, heard) {
    const events = new EventSource(path);
    events.onopen = () => heard.open();
    events.onerror = () => heard.lost();
    for (const what of ['beat', 'records', 'revision'] as const)
      events.addEventListener(what, ({ data }: MessageEvent<string>) =>
        heard.word(what, what === 'revision' ? (JSON.parse(data) as { number: number }).number : undefined),
      );
    return events;
  },
  now: () => Date.now(),
  later: (task, delay) => {
    const timer = setTimeout(task, delay);
    return () => clearTimeout(timer);
  },
};
