import 'fake-indexeddb/auto';
import { inTime, type SiteRecord } from '@cimiento/core';
import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { allWaiting, keep, letGo, type Waiting } from './outbox.ts';
import { type Refused, Sender, type Sent, type Surroundings } from './sender.ts';

let count = 0;
const note = (text = 'x'): SiteRecord => ({
  id: `n${++count}`,
  kind: 'note',
  at: new Date(Date.UTC(2026, 4, 1, 7, 0, count)).toISOString(),
  by: '',
  element: null,
  placement: null,
  place: null,
  corrects: null,
  after: null,
  revision: null,
  value: { text },
});

/** A server and a phone: who is signed in, what it has, what it will not have, what the phone keeps. */
class World implements Surroundings {
  signedIn: string | null = 'ann';
  online = true;
  database = true;
  /** Jobs of each person. */
  jobs: Record<string, readonly string[]> = { ann: ['a1', 'a2'], bea: ['b1'] };
  refuses: (record: SiteRecord) => boolean = () => false;
  room = Infinity;
  /** What the server has: by whom it was logged. */
  readonly has = new Map<string, { by: string; job: string; times: number }>();
  readonly kept = new Map<string, Waiting>();
  private tasks: (() => void)[] = [];
  posts = 0;
  /** Answers that get lost on the way after the server has taken what came. */
  losesAnswers = 0;

  async post(job: string, person: string, records: readonly SiteRecord[]): Promise<Sent> {
    this.posts++;
    // No line, or a server whose database is away: it answers 503.
    if (!this.online || !this.database) return { how: 'later' };
    if (this.signedIn !== person) return { how: 'notTheirs' };
    if (!this.jobs[person]?.includes(job)) return { how: 'gone' };
    const refused: Refused[] = [];
    for (const record of records) {
      if (this.refuses(record))
        refused.push({ id: record.id, problems: [{ code: 'range', path: '/0/value' }] });
      else {
        const known = this.has.get(record.id);
        this.has.set(record.id, known ?? { by: this.signedIn, job, times: 1 });
      }
    }
    if (this.losesAnswers > 0) {
      this.losesAnswers--;
      return { how: 'later' };
    }
    return { how: 'sent', refused };
  }
  /** Photos the server has, and whether it takes them. */
  readonly pictures: string[] = [];
  takesPictures = true;
  async picture(_job: string, person: string, id: string): Promise<Sent> {
    if (!this.online) return { how: 'later' };
    if (this.signedIn !== person) return { how: 'notTheirs' };
    if (!this.takesPictures)
      return { how: 'sent', refused: [{ id, problems: [{ code: 'notAPhoto', path: '' }] }] };
    this.pictures.push(id);
    return { how: 'sent', refused: [] };
  }
  later(task: () => void): () => void {
    this.tasks.push(task);
    return () => {
      this.tasks = this.tasks.filter((other) => other !== task);
    };
  }
  async pass(): Promise<void> {
    const due = this.tasks;
    this.tasks = [];
    for (const task of due) task();
    for (let i = 0; i < 60; i++) await Promise.resolve();
  }
  readonly box = {
    keep: async (one: Waiting) => {
      if (this.kept.size >= this.room && !this.kept.has(one.id)) return false;
      this.kept.set(one.id, one);
      return true;
    },
    all: async () => [...this.kept.values()],
    letGo: async (ids: readonly string[]) => {
      for (const id of ids) this.kept.delete(id);
    },
  };
}

let world: World;
beforeEach(() => {
  world = new World();
});
const page = (person: string, program = 'v1') => new Sender(person, program, world);

describe('the outbox', () => {
  it('keeps by person what waits, and lets go of what the server has', async () => {
    const one = (job: string, person: string): Waiting => {
      const record = note();
      return { id: record.id, job, person, record, refused: null };
    };
    const [a, b] = [one('a1', 'ann'), one('b1', 'bea')];
    expect(await keep(a)).toBe(true);
    await keep(b);
    await keep(a);
    expect((await allWaiting()).map(({ id }) => id).sort()).toEqual([a.id, b.id].sort());
    await letGo([a.id]);
    expect(await allWaiting()).toEqual([b]);
  });
  it('is drained for all jobs, from whatever page', async () => {
    world.online = false;
    const first = page('ann');
    await first.log('a1', note());
    await first.log('a2', note());
    expect(world.has.size).toBe(0);
    world.online = true;
    // The phone was off; the next page is the day board.
    await page('ann').wake();
    expect([...world.has.values()].map(({ job }) => job).sort()).toEqual(['a1', 'a2']);
    expect(world.kept.size).toBe(0);
  });
  it('tries again by itself while nobody answers', async () => {
    world.online = false;
    const sender = page('ann');
    await sender.log('a1', note());
    world.online = true;
    await world.pass();
    expect(world.has.size).toBe(1);
    expect(sender.state.getState().waiting).toEqual([]);
  });
});

describe('on a shared phone', () => {
  it('the second person never signs what the first released; it goes when the first is back', async () => {
    world.online = false;
    await page('ann').log('a1', note('released'));
    world.signedIn = 'bea';
    world.online = true;
    const other = page('bea');
    await other.wake();
    expect(other.state.getState()).toMatchObject({ waiting: [], others: 1 });
    await other.log('b1', note('her own'));
    expect([...world.has.values()].map(({ by, job }) => [by, job])).toEqual([['bea', 'b1']]);
    world.signedIn = 'ann';
    await page('ann').wake();
    expect([...world.has.values()].map(({ by, job }) => [by, job])).toEqual([
      ['bea', 'b1'],
      ['ann', 'a1'],
    ]);
  });
  it('a page still open from before sends nothing under the new session, and says so', async () => {
    const stale = page('ann');
    world.signedIn = 'bea';
    await stale.log('a1', note());
    expect(world.has.size).toBe(0);
    expect(stale.state.getState().signedOut).toBe(true);
    expect(world.kept.size).toBe(1);
  });
});

describe('a record the server will not have', () => {
  it('takes none of ninety-nine others with it, and stays with why', async () => {
    world.online = false;
    const sender = page('ann');
    const all = Array.from({ length: 100 }, (_, i) => note(i === 42 ? 'bad' : 'good'));
    for (const record of all) await sender.log('a1', record);
    world.refuses = ({ value }) => (value as { text: string }).text === 'bad';
    world.online = true;
    await sender.wake();
    expect(world.has.size).toBe(99);
    const { waiting } = sender.state.getState();
    expect(waiting.map(({ id, refused }) => [id, refused?.problems[0]?.code])).toEqual([
      [all[42]!.id, 'range'],
    ]);
    // It is not sent over and over.
    const { posts } = world;
    await sender.send();
    expect(world.posts).toBe(posts);
    // Nor by the next page of the same program; by a newer one it is, and taken.
    await page('ann', 'v1').wake();
    expect(world.posts).toBe(posts);
    world.refuses = () => false;
    await page('ann', 'v2').wake();
    expect(world.has.size).toBe(100);
    expect(world.kept.size).toBe(0);
  });
  it('is tried again when somebody asks', async () => {
    world.refuses = () => true;
    const sender = page('ann');
    await sender.log('a1', note());
    world.refuses = () => false;
    await sender.retry();
    expect(world.has.size).toBe(1);
  });
  it('of a job that is gone waits for it to come back', async () => {
    world.jobs.ann = [];
    const sender = page('ann');
    await sender.log('a1', note());
    expect(sender.state.getState()).toMatchObject({ gone: ['a1'] });
    world.jobs.ann = ['a1'];
    await sender.wake();
    expect(world.has.size).toBe(1);
  });
});

describe('a photo', () => {
  const picture = { photo: new ArrayBuffer(8), thumb: new ArrayBuffer(4) };
  it('made without signal goes before its record, once, and both are let go', async () => {
    world.online = false;
    const sender = page('ann');
    await sender.log('a1', note('before'));
    const record = note('of the key');
    await sender.log('a1', record, picture);
    expect(world.kept.get(record.id)?.picture).toBe(picture);
    world.online = true;
    world.losesAnswers = 1;
    await sender.send();
    await world.pass();
    expect(world.pictures).toEqual([record.id]);
    expect([...world.has.keys()]).toContain(record.id);
    expect(world.kept.size).toBe(0);
  });
  it('the server will not have keeps its record here with why, and takes no other with it', async () => {
    world.takesPictures = false;
    const sender = page('ann');
    const record = note('no photo');
    await sender.log('a1', record, picture);
    await sender.log('a1', note('plain'));
    expect(world.has.size).toBe(1);
    expect(sender.state.getState().waiting).toMatchObject([
      { id: record.id, refused: { problems: [{ code: 'notAPhoto' }] } },
    ]);
  });
});

describe('a browser with no room', () => {
  it('says what is in the page only, sends it all the same, and keeps it once there is room', async () => {
    world.online = false;
    world.room = 0;
    const sender = page('ann');
    const [a, b] = [note(), note()];
    await sender.log('a1', a);
    await sender.log('a1', b);
    expect(sender.state.getState().unkept).toEqual([a.id, b.id]);
    world.room = 1;
    await sender.wake();
    expect(sender.state.getState().unkept).toEqual([b.id]);
    world.online = true;
    await sender.send();
    expect(world.has.size).toBe(2);
    expect(sender.state.getState()).toMatchObject({ waiting: [], unkept: [] });
  });
});

it('through drawn orders of people, clocks, lost lines, lost answers, a dead database and killed pages all is there once, under its maker’s name, in the order it was made', async () => {
  const person = fc.constantFrom('ann', 'bea');
  const step = fc.oneof(
    { weight: 4, arbitrary: fc.record({ what: fc.constant('log' as const), person }) },
    { weight: 3, arbitrary: fc.record({ what: fc.constantFrom('line', 'lost', 'pass', 'database') }) },
    { weight: 2, arbitrary: fc.record({ what: fc.constantFrom('signIn', 'page', 'kill'), person }) },
    {
      weight: 1,
      arbitrary: fc.record({
        what: fc.constant('clock' as const),
        person,
        by: fc.integer({ min: -9, max: 9 }),
      }),
    },
  );
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 40 }), async (steps) => {
      world = new World();
      const pages: Record<string, Sender> = { ann: page('ann'), bea: page('bea') };
      const made = new Map<string, string>();
      const order: Record<string, string[]> = { ann: [], bea: [] };
      const clock: Record<string, number> = { ann: 0, bea: 0 };
      const all = new Map<string, SiteRecord>();
      for (const one of steps as { what: string; person?: string; by?: number }[]) {
        const { what, person = '', by = 0 } = one;
        if (what === 'line') world.online = !world.online;
        else if (what === 'database') world.database = !world.database;
        else if (what === 'lost') world.losesAnswers++;
        else if (what === 'pass') await world.pass();
        else if (what === 'clock') clock[person] = by * 60_000;
        else if (what === 'signIn') world.signedIn = person;
        // The page is closed and another comes; killed, it has not waited for what was on its way.
        else if (what === 'page' || what === 'kill') {
          if (what === 'kill') void pages[person]!.wake();
          pages[person] = page(person);
          if (what === 'page') await pages[person].wake();
        } else {
          const plain = note();
          const record = {
            ...plain,
            at: new Date(Date.parse(plain.at) + clock[person]!).toISOString(),
            after: order[person]!.at(-1) ?? null,
          };
          all.set(record.id, record);
          made.set(record.id, person);
          order[person]!.push(record.id);
          await pages[person]!.log(world.jobs[person]![0]!, record);
        }
      }
      world.online = true;
      world.database = true;
      world.losesAnswers = 0;
      for (const person of ['ann', 'bea']) {
        world.signedIn = person;
        await page(person).wake();
        await world.pass();
      }
      expect(new Map([...world.has].map(([id, { by }]) => [id, by]))).toEqual(made);
      expect([...world.has.values()].every(({ times }) => times === 1)).toBe(true);
      expect(world.kept.size).toBe(0);
      // Whatever the clocks said, and in whatever order it came in.
      const told = inTime([...world.has.keys()].map((id) => all.get(id)!)).map(({ id }) => id);
      for (const person of ['ann', 'bea'])
        expect(told.filter((id) => made.get(id) === person)).toEqual(order[person]);
    }),
    { numRuns: 300 },
  );
}, 60_000);
