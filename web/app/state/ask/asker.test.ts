import { blankPlan } from '@cimiento/core';
import type { Remote } from 'comlink';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { AskWorker } from './ask.worker.ts';
import { Asker, type MakeThread } from './asker.ts';
import { type ArgsOf, Desk, type Job, type Question } from './questions.ts';

/** Stands in for a worker: answers when told to, and knows when it was ended. */
class Stand {
  readonly jobs: Job[] = [];
  readonly asked: {
    question: Question;
    answer: (value: unknown) => void;
    progress: (share: number) => void;
  }[] = [];
  ended = false;
  readonly worker = {
    terminate: () => {
      this.ended = true;
    },
  } as unknown as Worker;
  readonly core = {
    job: async (job: Job) => void this.jobs.push(job),
    ask: (question: Question, _args: unknown, progress: (share: number) => void) =>
      new Promise((answer) => this.asked.push({ question, answer, progress })),
  } as unknown as Remote<AskWorker>;
}

const job = (): Job => ({ plan: blankPlan('x', 'metric'), records: [] });
const settle = () => vi.advanceTimersByTimeAsync(1);

describe('asking a worker', () => {
  const stands: Stand[] = [];
  const make: MakeThread = () => {
    const stand = new Stand();
    stands.push(stand);
    return stand;
  };
  beforeEach(() => {
    stands.length = 0;
    vi.useFakeTimers();
  });
  afterEach(() => vi.useRealTimers());
  const ask = (asker: Asker, of: Job, question: Question = 'digSequence', more: object = {}) =>
    asker.ask(of, question, [] as unknown as ArgsOf<typeof question>, { topic: question, ...more });

  it('sends a job once for all questions about it, one at a time', async () => {
    const asker = new Asker({ make });
    const of = job();
    const first = ask(asker, of, 'digSequence');
    const second = ask(asker, of, 'instructionCosts');
    await settle();
    const [stand] = stands;
    expect(stand!.asked.map((one) => one.question)).toEqual(['digSequence']);
    stand!.asked[0]!.answer('one');
    expect(await first).toBe('one');
    await settle();
    stand!.asked[1]!.answer('two');
    expect(await second).toBe('two');
    expect(stand!.jobs).toEqual([of]);
    void ask(asker, job());
    await settle();
    expect(stand!.jobs).toHaveLength(2);
    expect(stands).toHaveLength(1);
  });

  it('lets the newest of a topic win: what waited is called off, what runs ends by itself', async () => {
    const asker = new Asker({ make });
    const [a, b, c] = [ask(asker, job()), ask(asker, job()), ask(asker, job())];
    await settle();
    expect(await b).toBeNull();
    stands[0]!.asked[0]!.answer('a');
    expect(await a).toBe('a');
    await settle();
    stands[0]!.asked[1]!.answer('c');
    expect(await c).toBe('c');
  });

  it('ends a running one that has a newer once it has run as long as a new worker takes', async () => {
    const asker = new Asker({ make, endStale: true });
    const first = ask(asker, job());
    await vi.advanceTimersByTimeAsync(400);
    stands[0]!.asked[0]!.answer('first');
    expect(await first).toBe('first');
    const old = ask(asker, job());
    await settle();
    const newer = ask(asker, job());
    await vi.advanceTimersByTimeAsync(350);
    expect(stands[0]!.ended).toBe(false);
    await vi.advanceTimersByTimeAsync(100);
    expect(stands[0]!.ended).toBe(true);
    expect(await old).toBeNull();
    await settle();
    stands[1]!.asked[0]!.answer('new');
    expect(await newer).toBe('new');
  });

  it('keeps its worker for the newer when the older ends by itself meanwhile', async () => {
    const asker = new Asker({ make, endStale: true });
    const old = ask(asker, job());
    await settle();
    const newer = ask(asker, job());
    await vi.advanceTimersByTimeAsync(300);
    stands[0]!.asked[0]!.answer('old');
    await settle();
    expect(await old).toBe('old');
    await vi.advanceTimersByTimeAsync(2000);
    expect(stands[0]!.ended).toBe(false);
    stands[0]!.asked[1]!.answer('new');
    expect(await newer).toBe('new');
    expect(stands).toHaveLength(1);
  });

  it('calls off what takes too long, and goes on with a new worker', async () => {
    const asker = new Asker({ make });
    const slow = ask(asker, job(), 'digSequence', { limit: 2000 });
    const next = ask(asker, job(), 'instructionCosts');
    await vi.advanceTimersByTimeAsync(2001);
    expect(await slow).toBeNull();
    expect(stands[0]!.ended).toBe(true);
    await settle();
    stands[1]!.asked[0]!.answer('next');
    expect(await next).toBe('next');
  });

  it('passes progress on, and none of one called off', async () => {
    const asker = new Asker({ make });
    const shares: number[] = [];
    const answer = ask(asker, job(), 'digSequence', { onProgress: (share: number) => shares.push(share) });
    await settle();
    const [one] = stands[0]!.asked;
    one!.progress(0.25);
    asker.callOff('digSequence');
    await vi.advanceTimersByTimeAsync(1100);
    one!.progress(0.5);
    expect(shares).toEqual([0.25]);
    expect(await answer).toBeNull();
  });

  it('answers nothing once it is stopped', async () => {
    const asker = new Asker({ make });
    const [running, waiting] = [ask(asker, job(), 'digSequence'), ask(asker, job(), 'instructionCosts')];
    await settle();
    asker.stop();
    expect(await running).toBeNull();
    expect(await waiting).toBeNull();
    expect(stands[0]!.ended).toBe(true);
  });
});

describe('a job that is asked about', () => {
  it('is worked out once for all its questions and however its days are typed, anew for another', () => {
    const desk = new Desk();
    expect(() =>
      desk.ask(
        'takeoff',
        [],
        () => {},
        () => 0,
      ),
    ).toThrow('before there was a job');
    desk.job(job());
    const first = desk.ask(
      'takeoff',
      [],
      () => {},
      () => 0,
    );
    expect(
      desk.ask(
        'takeoff',
        [],
        () => {},
        () => 0,
      ),
    ).toBe(first);
    const takeoff = () =>
      desk.ask(
        'takeoff',
        [],
        () => {},
        () => 0,
      );
    const { plan, records } = job();
    desk.job({ plan: { ...plan, days: { ...plan.days, start: '2026-10-05' } }, records });
    expect(takeoff()).toBe(first);
    desk.job({ plan: { ...plan, name: 'y' }, records });
    expect(takeoff()).not.toBe(first);
  });
});
