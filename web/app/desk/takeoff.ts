/**
 * The takeoff of the plan as it is typed. Computed in place while that fits a frame; once it
 * takes longer it moves to a worker, where only the newest plan counts.
 */
import { compute, type GroundModel, type Plan, type Takeoff } from '@cimiento/core';
import { type Remote, wrap } from 'comlink';
import { createContext, useContext, useEffect, useRef, useState } from 'react';
import type { ComputeWorker } from './compute.worker.ts';

/** One frame at 60 Hz, ms. */
const FRAME = 16;

export function useTakeoffOf(plan: Plan): Takeoff {
  const [shown, setShown] = useState(() => ({ plan, takeoff: compute(plan) }));
  const slow = useRef(false);
  const worker = useRef<Remote<ComputeWorker> | null>(null);
  const newest = useRef(plan);
  newest.current = plan;

  let current = shown;
  if (shown.plan !== plan && !slow.current) {
    const start = performance.now();
    current = { plan, takeoff: compute(plan) };
    slow.current = performance.now() - start > FRAME;
    setShown(current);
  }

  useEffect(() => {
    if (shown.plan === plan || !slow.current) return;
    worker.current ??= wrap<ComputeWorker>(
      new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' }),
    );
    const start = performance.now();
    worker.current.compute(plan).then((takeoff) => {
      if (newest.current !== plan) return;
      // Back to the spot once the job is small again.
      slow.current = performance.now() - start > FRAME;
      setShown({ plan, takeoff });
    });
  }, [plan, shown.plan]);

  return current.takeoff;
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
