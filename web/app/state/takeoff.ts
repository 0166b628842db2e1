/** What was worked out, for all that shows it: figures as they are typed, drawings as they are painted. */
import type { ElementTakeoff, GroundModel, Plan, Problem, Takeoff } from '@cimiento/core';
import { createContext, useContext, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { reckon } from './reckoner.ts';
import { type Desk, type DeskStore, useDesk } from './store.ts';

/** Keeps what is worked out of a desk in step with its plan and records, from before the first paint. */
export const useReckoned = (store: DeskStore): void => useLayoutEffect(() => reckon(store), [store]);

/** Someone is at a field: eyes are on figures. Else hands are on a drawing, which goes with them. */
const typing = (): boolean => document.activeElement?.tagName === 'INPUT';

/**
 * What the drawings show. Who types a number sees at once what it comes to, and the drawings follow once
 * that was painted; of many edits in one frame the last is drawn. What is dragged or nudged on a
 * drawing is drawn in step: the next key goes on from there.
 */
export function useDrawn<T>(newest: T): T {
  const [drawn, setDrawn] = useState(newest);
  const latest = useRef(newest);
  latest.current = newest;
  const pending = useRef(false);
  useEffect(() => {
    if (newest === drawn || pending.current) return;
    pending.current = true;
    // After a frame's callbacks it is painted; a task asked for in one comes after the paint.
    requestAnimationFrame(() =>
      setTimeout(() => {
        pending.current = false;
        setDrawn(latest.current);
      }),
    );
  }, [newest, drawn]);
  if (newest !== drawn && !typing()) {
    setDrawn(newest);
    return newest;
  }
  return drawn;
}

const Context = createContext<Takeoff | null>(null);
export const TakeoffProvider = Context.Provider;
const PlanContext = createContext<Plan | null>(null);
export const ShownPlanProvider = PlanContext.Provider;

/**
 * The plan the takeoff is of. While a worker catches up it lags behind the one being typed: drawings
 * and answers go by it, so that they fit each other and are drawn once an edit; fields do not.
 */
export function useShownPlan(): Plan {
  const plan = useContext(PlanContext);
  if (!plan) throw new Error('useShownPlan needs a ShownPlanProvider above it.');
  return plan;
}
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

/** What is wrong at a field: one that is right is not drawn again because another is wrong. */
export function useProblem(path: string): Problem | undefined {
  return useDesk(
    useShallow((desk: Desk) => desk.worked.takeoff?.problems.find((problem) => problem.path === path)),
  );
}

/** Ground level where the first log stands: what is shown while nothing is picked. */
export function groundAtFirstLog(plan: Plan, model: GroundModel): number {
  const [x, y] = plan.ground.logs[0]?.at ?? [0, 0];
  return model.level(x, y);
}

/** What is said of the element picked; with none picked, of the first that is dug. */
export function useLookedAt(): ElementTakeoff | undefined {
  const picked = useDesk((desk) => desk.picked);
  const { elements } = useTakeoff();
  return elements.find((e) => e.id === picked) ?? elements.find((e) => e.live);
}
