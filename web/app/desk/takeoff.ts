/**
 * The takeoff of the plan as it is typed. Computed in place while that fits a frame; once it takes
 * longer, or the job is large from the start, in a worker, where only the newest plan counts and
 * what takes too long is called off.
 */
import { compute, type GroundModel, type Plan, type Takeoff } from '@cimiento/core';
import { type Remote, wrap } from 'comlink';
import { createContext, useContext, useEffect, useRef, useState } from 'react';
import { within } from '../parts/limit.ts';
import type { ComputeWorker } from './compute.worker.ts';

/** One frame at 60 Hz, ms. */
const FRAME = 16;
/** A takeoff that takes longer is called off, ms. */
export const LONGEST_TAKEOFF = 10_000;
/** Jobs larger than this are never worked out on the page's own thread. */
const LARGE = { elements: 80, spots: 2000 } as const;

const isLarge = ({ elements, ground }: Plan): boolean =>
  elements.length > LARGE.elements ||
  (ground.surface.kind === 'spots' && ground.surface.points.length > LARGE.spots);

/** One takeoff under way at a time; when it ends the newest plan asked for is next. */
class Asker {
  #worker: { readonly thread: Worker; readonly core: Remote<ComputeWorker> } | null = null;
  #busy = false;
  #next: Plan | null = null;
  readonly #done: (plan: Plan, takeoff: Takeoff | null, took: number) => void;

  /** @param done told of every answer; null when it took too long and was called off */
  constructor(done: (plan: Plan, takeoff: Takeoff | null, took: number) => void) {
    this.#done = done;
  }

  ask(plan: Plan): void {
    this.#next = plan;
    if (!this.#busy) void this.#run();
  }

  async #run(): Promise<void> {
    const plan = this.#next;
    this.#next = null;
    if (!plan) return;
    this.#busy = true;
    if (!this.#worker) {
      const thread = new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' });
      this.#worker = { thread, core: wrap<ComputeWorker>(thread) };
    }
    const start = performance.now();
    const { thread, core } = this.#worker;
    const takeoff = await within(thread, core.compute(plan), LONGEST_TAKEOFF).catch(() => null);
    if (!takeoff) this.stop();
    this.#busy = false;
    this.#done(plan, takeoff, performance.now() - start);
    if (this.#next) void this.#run();
  }

  stop(): void {
    this.#worker?.thread.terminate();
    this.#worker = null;
  }
}

export interface Worked {
  /** The newest there is; null until the first one of a large job is there. */
  readonly takeoff: Takeoff | null;
  /** The newest plan took too long: what is shown is of an earlier one. */
  readonly calledOff: boolean;
}

export function useTakeoffOf(plan: Plan): Worked {
  const [shown, setShown] = useState(() => ({ plan, takeoff: isLarge(plan) ? null : compute(plan) }));
  const [calledOff, setCalledOff] = useState<Plan | null>(null);
  const slow = useRef(shown.takeoff === null);
  const newest = useRef(plan);
  newest.current = plan;
  const [asker] = useState(
    () =>
      new Asker((of, takeoff, took) => {
        if (takeoff === null) return setCalledOff(of);
        // Back to the spot once the job is small again.
        if (newest.current === of) slow.current = took > FRAME || isLarge(of);
        setShown({ plan: of, takeoff });
      }),
  );
  useEffect(() => () => asker.stop(), [asker]);

  let current = shown;
  if (shown.plan !== plan && !slow.current) {
    const start = performance.now();
    current = { plan, takeoff: compute(plan) };
    slow.current = performance.now() - start > FRAME;
    setShown(current);
  }
  const wanted = current.plan !== plan || current.takeoff === null;
  useEffect(() => {
    if (wanted) asker.ask(plan);
  }, [asker, plan, wanted]);
  return { takeoff: current.takeoff, calledOff: calledOff === plan };
}

const Context = createContext<Takeoff | null>(null);
export const TakeoffProvider = Context.Provider;
export function useTakeoff(): Takeoff {
  const takeoff = useContext(Context);
  if (!takeoff) throw new Error('useTakeoff needs a TakeoffProvider above it.');
  return takeoff;
}

const GroundContext = createContext<GroundModel | null>(null);
export const GroundProvider = GroundContext.Provider;
export function useGround(): GroundModel {
  const model = useContext(GroundContext);
  if (!model) throw new Error('useGround needs a GroundProvider above it.');
  return model;
}

/** Ground level where the first log stands: what is shown while nothing is picked. */
export function groundAtFirstLog(plan: Plan, model: GroundModel): number {
  const [x, y] = plan.ground.logs[0]?.at ?? [0, 0];
  return model.level(x, y);
}
