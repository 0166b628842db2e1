import { blankPlan, type Plan, type SiteRecord } from '@cimiento/core';
import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { Follower, type Heard, type Line, type Surroundings } from './follow.ts';
import { recordOf } from './records.ts';
import { type DeskStore, makeDesk } from './store.ts';

const withFrost = (frost: number, note = ''): Plan => {
  const plan = blankPlan('Shed', 'metric');
  plan.ground.frost.local = frost;
  return { ...plan, note };
};
const START = 1_000_000;

/** A server with one job, a line to it that may be cut or go dead, and a clock moved by hand. */
class World implements Surroundings {
  revision = 1;
  plan = withFrost(0.95);
  records: SiteRecord[] = [];
  online = true;
  /** The page's line, while it is open. */
  heard: Heard | null = null;
  /** Open, but nothing comes through. */
  dead = false;
  asked = 0;
  private time = START;
  private tasks: { at: number; task: () => void }[] = [];

  save(frost: number): void {
    this.plan = withFrost(frost);
    this.revision++;
    if (this.online && !this.dead) this.heard?.word('revision', this.revision);
  }
  log(record: SiteRecord): void {
    this.records.push(record);
    if (this.online && !this.dead) this.heard?.word('records');
  }
  cut(): void {
    this.online = false;
    this.heard?.lost();
  }
  async get(path: string): Promise<Response | null> {
    this.asked++;
    if (!this.online) return null;
    const url = new URL(path, 'http://x');
    if (url.pathname.endsWith('/records')) {
      const after = Number(url.searchParams.get('after'));
      return Response.json({ records: this.records.slice(after), last: this.records.length });
    }
    if (this.revision <= Number(url.searchParams.get('newer'))) return new Response(null, { status: 204 });
    return Response.json({ number: this.revision, plan: this.plan, by: 'Bea' });
  }
  listen(_path: string, heard: Heard): Line {
    if (this.online) {
      this.heard = heard;
      this.dead = false;
      this.later(() => heard.open(), 0);
    } else this.later(() => heard.lost(), 0);
    return {
      close: () => {
        if (this.heard === heard) this.heard = null;
      },
    };
  }
  now(): number {
    return this.time;
  }
  later(task: () => void, delay: number): () => void {
    const entry = { at: this.time + delay, task };
    this.tasks.push(entry);
    return () => {
      this.tasks = this.tasks.filter((other) => other !== entry);
    };
  }
  /** Time goes by, task after task. */
  async pass(ms: number): Promise<void> {
    const end = this.time + ms;
    for (;;) {
      const next = this.tasks.filter(({ at }) => at <= end).sort((p, q) => p.at - q.at)[0];
      if (!next) break;
      this.tasks = this.tasks.filter((other) => other !== next);
      this.time = Math.max(this.time, next.at);
      next.task();
      await this.settle();
    }
    this.time = end;
    await this.settle();
  }
  /** The machine sleeps: time jumps, and nothing runs meanwhile. */
  sleep(ms: number): void {
    this.time += ms;
    this.dead = true;
  }
  private async settle(): Promise<void> {
    for (let i = 0; i < 12; i++) await Promise.resolve();
    await new Promise((done) => setImmediate(done));
  }
}

let world: World;
let store: DeskStore;
let follower: Follower;
const shown = () => store.getState().plan.ground.frost.local;
const asOf = () => store.getState().asOf;

beforeEach(async () => {
  world = new World();
  store = makeDesk(world.plan, 1);
  follower = new Follower(store, 'job', 0, world);
  follower.start();
  await world.pass(10);
});

describe('an open desk', () => {
  it('shows what somebody else saved at once when nothing is typed, as saved', async () => {
    world.save(1.4);
    await world.pass(10);
    expect(shown()).toBe(1.4);
    expect(store.getState()).toMatchObject({ base: { revision: 2 }, saving: { state: 'saved' }, asOf: null });
  });
  it('leaves what is typed alone: saving finds the difference', async () => {
    store.getState().edit((d) => {
      d.levels.string = 101;
    });
    world.save(1.4);
    await world.pass(10);
    expect(shown()).toBe(0.95);
    expect(store.getState().base.revision).toBe(1);
  });
  it('asks for nothing when the save it hears of is its own', async () => {
    const { asked } = world;
    store.setState({ saving: { state: 'saving' } });
    world.heard!.word('revision', 2);
    store.setState({ base: { revision: 2, plan: store.getState().plan }, saving: { state: 'saved' } });
    await world.pass(2000);
    expect(world.asked).toBe(asked);
  });
  it('takes in what others log', async () => {
    world.log(recordOf(store.getState(), 'note', { text: 'seen' }));
    await world.pass(10);
    expect(store.getState().records).toHaveLength(1);
  });
});

describe('a desk that may be old', () => {
  it('says since when while it is off line, and is new again within a moment of being back', async () => {
    await world.pass(5000);
    world.cut();
    const since = asOf();
    expect(since).toBeGreaterThanOrEqual(START);
    world.save(1.4);
    await world.pass(60_000);
    expect(asOf()).toBe(since);
    expect(shown()).toBe(0.95);
    world.online = true;
    follower.wake();
    await world.pass(100);
    expect(shown()).toBe(1.4);
    expect(asOf()).toBeNull();
  });
  it('that was hidden asks when it is seen again', async () => {
    follower.rest();
    expect(asOf()).not.toBeNull();
    world.save(1.4);
    world.log(recordOf(store.getState(), 'note', { text: 'seen' }));
    await world.pass(3_600_000);
    follower.start();
    await world.pass(100);
    expect(shown()).toBe(1.4);
    expect(store.getState().records).toHaveLength(1);
    expect(asOf()).toBeNull();
  });
  it('that slept asks when time has jumped, without anybody telling it', async () => {
    world.sleep(3_600_000);
    world.save(1.4);
    await world.pass(1500);
    expect(shown()).toBe(1.4);
    expect(asOf()).toBeNull();
  });
  it('whose line went dead asks once it has been quiet for too long', async () => {
    world.dead = true;
    world.save(1.4);
    await world.pass(60_000);
    expect(shown()).toBe(1.4);
  });
  it('asks again and again while the server is away though the line seems open', async () => {
    const get = world.get.bind(world);
    world.get = async () => null;
    world.save(1.4);
    await world.pass(3000);
    expect(asOf()).not.toBeNull();
    world.get = get;
    await world.pass(16_000);
    expect(shown()).toBe(1.4);
    expect(asOf()).toBeNull();
  });
});

describe('undo after somebody else saved', () => {
  it('takes back one’s own edit and nothing of theirs', async () => {
    const { edit, undo } = store.getState();
    edit((d) => {
      d.levels.string = 101;
    });
    edit((d) => {
      d.note = 'mine';
    });
    // Saved, and then another saves on top of it.
    world.plan = { ...store.getState().plan };
    store.setState({ base: { revision: 2, plan: store.getState().plan } });
    world.revision = 2;
    const theirs = structuredClone(world.plan) as Plan;
    theirs.ground.frost.local = 1.4;
    world.plan = theirs;
    world.revision = 3;
    world.heard!.word('revision', 3);
    await world.pass(10);
    expect(store.getState().plan).toMatchObject({ note: 'mine', levels: { string: 101 } });
    undo();
    expect(store.getState().plan).toMatchObject({ note: '', levels: { string: 101 } });
    expect(shown()).toBe(1.4);
    undo();
    expect(store.getState().plan.levels.string).toBe(100.5);
    expect(shown()).toBe(1.4);
    store.getState().redo();
    store.getState().redo();
    expect(store.getState().plan).toMatchObject({ note: 'mine', levels: { string: 101 } });
    expect(shown()).toBe(1.4);
  });
  it('stops where they changed the same thing', async () => {
    store.getState().edit((d) => {
      d.ground.frost.local = 1.1;
    });
    store.setState({ base: { revision: 2, plan: store.getState().plan } });
    world.revision = 2;
    world.save(1.4);
    await world.pass(10);
    expect(store.getState().past).toEqual([]);
    expect(shown()).toBe(1.4);
  });
});

it('through drawn orders of saves, lost lines, dead lines, sleep and being hidden nobody sees an old figure as up to date', async () => {
  const step = fc.constantFrom('save', 'log', 'cut', 'back', 'dead', 'sleep', 'hide', 'see', 'wait');
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 25 }), async (steps) => {
      world = new World();
      store = makeDesk(world.plan, 1);
      follower = new Follower(store, 'job', 0, world);
      follower.start();
      await world.pass(10);
      let seen = true;
      let frost = 1;
      for (const what of steps) {
        if (what === 'save') {
          frost += 0.01;
          world.save(frost);
        } else if (what === 'log') world.log(recordOf(store.getState(), 'note', { text: 'x' }));
        else if (what === 'cut') world.cut();
        else if (what === 'back' && !world.online) {
          world.online = true;
          if (seen) follower.wake();
        } else if (what === 'dead') world.dead = true;
        else if (what === 'sleep') world.sleep(100_000);
        else if (what === 'hide' && seen) {
          follower.rest();
          seen = false;
        } else if (what === 'see' && !seen) {
          follower.start();
          seen = true;
        }
        // A dead line is found out by its silence; all else within two seconds.
        await world.pass(world.dead ? 45_000 : 2000);
        if (seen && world.online) expect(asOf()).toBeNull();
        if (asOf() === null) {
          expect(store.getState().base.revision).toBe(world.revision);
          expect(shown()).toBe(world.plan.ground.frost.local);
          expect(store.getState().records).toHaveLength(world.records.length);
        }
      }
      follower.rest();
    }),
    { numRuns: 120 },
  );
});
