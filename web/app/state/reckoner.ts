/**
 * Keeps the takeoff of a desk in step with its plan and records. Computed in place while that fits a frame;
 * once it keeps taking longer, or the job is large from the start, in a worker, where only the newest plan
 * counts and what takes too long is called off.
 */
import { compute, type Plan, type SiteRecord, type Takeoff, withRecords } from '@cimiento/core';
import { Asker } from './ask/asker.ts';
import type { Job } from './ask/questions.ts';

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

/** What was worked out, and of what: while a worker catches up, of an earlier plan. */
export interface Worked {
  readonly plan: Plan;
  readonly records: readonly SiteRecord[];
  /** Null until the first one of a large job is there. */
  readonly takeoff: Takeoff | null;
  /** The newest plan took too long: what is shown is of an earlier one. */
  readonly calledOff: boolean;
}

/** What a reckoner reads and writes of a desk. */
interface Reckoned {
  readonly plan: Plan;
  readonly records: readonly SiteRecord[];
  readonly worked: Worked;
}
interface Store {
  readonly getState: () => Reckoned;
  readonly setState: (worked: Pick<Reckoned, 'worked'>) => void;
  readonly subscribe: (listener: (now: Reckoned, before: Reckoned) => void) => () => void;
}

/** What a reckoner needs of its surroundings: handed in, so that tests can stand in for clock and worker. */
export interface Means {
  readonly now: () => number;
  readonly work: (job: Job) => Takeoff;
  readonly asker: Pick<Asker, 'ask' | 'stop'>;
}
const browser = (): Means => ({
  now: () => performance.now(),
  work: ({ plan, records }) => compute(plan, records),
  asker: new Asker(),
});

/**
 * Begins to reckon: the takeoff is there at once, unless the job is large.
 * @returns ends it
 */
export function reckon(store: Store, { now, work, asker }: Means = browser()): () => void {
  let slow = isLarge(store.getState().plan);
  let longRun = 0;
  const put = (job: Job, takeoff: Takeoff) =>
    store.setState({ worked: { ...job, takeoff, calledOff: false } });

  const here = (job: Job) => {
    const start = now();
    const takeoff = work(job);
    const duration = now() - start;
    // Also for the bench, which tells the core's part of an edit apart.
    performance.measure('takeoff', { start, duration });
    longRun = duration > FRAME ? longRun + 1 : 0;
    slow = longRun >= LONG_RUN || duration > FAR;
    put(job, takeoff);
  };

  const away = async (job: Job) => {
    const start = now();
    const takeoff = await asker.ask(job, 'takeoff', [], { topic: 'takeoff', limit: LONGEST_TAKEOFF });
    const took = now() - start;
    const { plan, records, worked } = store.getState();
    const newest = plan === job.plan && records === job.records;
    if (takeoff === null) {
      // A newer one took its place, or it took too long.
      if (newest && took >= LONGEST_TAKEOFF) store.setState({ worked: { ...worked, calledOff: true } });
      return;
    }
    // Back to the spot once the job is small again.
    if (newest) slow = took > FRAME || isLarge(job.plan);
    if (!slow) longRun = 0;
    put(job, takeoff);
  };

  const follow = () => {
    const { plan, records, worked } = store.getState();
    if (worked.plan === plan && worked.takeoff) {
      // What was logged may say nothing a figure stands on.
      const told = withRecords(worked.takeoff, records);
      if (told) return put({ plan, records }, told);
    }
    const job = { plan, records };
    if (slow) void away(job);
    else here(job);
  };

  // The first says nothing of the next: nothing is warm yet.
  const { plan, records } = store.getState();
  if (slow) void away({ plan, records });
  else put({ plan, records }, work({ plan, records }));
  const end = store.subscribe((desk, before) => {
    if (desk.plan !== before.plan || desk.records !== before.records) follow();
  });
  return () => {
    end();
    asker.stop();
  };
}
