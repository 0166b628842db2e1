/**
 * The takeoff of the plan as it is typed. Computed in place while that fits a frame; once it keeps taking
 * longer, or the job is large from the start, in a worker, where only the newest plan counts and
 * what takes too long is called off.
 */
import {
  compute,
  type ElementTakeoff,
  type GroundModel,
  type Plan,
  type SiteRecord,
  type Takeoff,
} from '@cimiento/core';
import { createContext, useContext, useEffect, useRef, useState } from 'react';
import { Asker } from './ask/asker.ts';
import type { Job } from './ask/questions.ts';
import { useDesk } from './store.ts';

/** Two frames at 60 Hz, ms: shorter than the way to a worker and back with all it answers. */
const FRAME = 32;
/**
 * So many in a row must take longer before a worker takes over: the first few do, until the engine has
 * compiled them, and a new worker would have to begin with that again.
 */
const LONG_RUN = 3;
/** One that takes this long is no matter of warming up, ms. */
const FAR = 8 * FRAME;
/** A takeoff that takes longer is called off, ms. */
export const LONGEST_TAKEOFF = 10_000;
/** Jobs larger than this are never worked out on the page's own thread. */
const LARGE = { elements: 80, spots: 2000 } as const;

const isLarge = ({ elements, ground }: Plan): boolean =>
  elements.length > LARGE.elements ||
  (ground.surface.kind === 'spots' && ground.surface.points.length > LARGE.spots);

export interface Worked {
  /** The newest there is; null until the first one of a large job is there. */
  readonly takeoff: Takeoff | null;
  /** What it is of. */
  readonly plan: Plan;
  /** The newest plan took too long: what is shown is of an earlier one. */
  readonly calledOff: boolean;
}

/** A job as it stands: the newest plan with what was logged. */
interface Shown extends Job {
  readonly takeoff: Takeoff | null;
}

export function useTakeoffOf(plan: Plan, records: readonly SiteRecord[]): Worked {
  const [shown, setShown] = useState<Shown>(() => ({
    plan,
    records,
    takeoff: isLarge(plan) ? null : compute(plan, records),
  }));
  const [calledOff, setCalledOff] = useState<Plan | null>(null);
  const slow = useRef(shown.takeoff === null);
  const longRun = useRef(0);
  const [asker] = useState(() => new Asker());
  useEffect(() => () => asker.stop(), [asker]);

  let current = shown;
  const same = (of: Job) => of.plan === plan && of.records === records;
  if (!same(shown) && !slow.current) {
    const start = performance.now();
    current = { plan, records, takeoff: compute(plan, records) };
    // Also for the bench, which tells the core's part of an edit apart.
    const { duration } = performance.measure('takeoff', { start });
    longRun.current = duration > FRAME ? longRun.current + 1 : 0;
    slow.current = longRun.current >= LONG_RUN || duration > FAR;
    setShown(current);
  }
  const wanted = !same(current) || current.takeoff === null;
  useEffect(() => {
    if (!wanted) return;
    const job = { plan, records };
    const start = performance.now();
    let newest = true;
    void asker.ask(job, 'takeoff', [], { topic: 'takeoff', limit: LONGEST_TAKEOFF }).then((takeoff) => {
      const took = performance.now() - start;
      if (takeoff === null) {
        // A newer one took its place, or it took too long.
        if (newest && took >= LONGEST_TAKEOFF) setCalledOff(plan);
        return;
      }
      // Back to the spot once the job is small again.
      if (newest) slow.current = took > FRAME || isLarge(plan);
      if (!slow.current) longRun.current = 0;
      setShown({ ...job, takeoff });
    });
    return () => {
      newest = false;
    };
  }, [asker, plan, records, wanted]);
  return { takeoff: current.takeoff, plan: current.plan, calledOff: calledOff === plan };
}

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
