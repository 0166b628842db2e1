import { blankPlan, type Plan } from '@cimiento/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { autosave, keptEdit, type Surroundings } from './autosave.ts';
import { type DeskStore, makeDesk } from './store.ts';

/** A server that answers what it is told, and a clock moved by hand. */
class Around implements Surroundings {
  readonly posts: { path: string; plan: Plan }[] = [];
  answers: (Response | Error)[] = [];
  private tasks: { at: number; task: () => void }[] = [];
  private now = 0;
  async post(path: string, body: string): Promise<Response> {
    this.posts.push({ path, plan: JSON.parse(body) as Plan });
    const answer = this.answers.shift() ?? Response.json({ revision: this.posts.length + 1 });
    if (answer instanceof Error) throw answer;
    return answer;
  }
  later(task: () => void, delay: number) {
    const entry = { at: this.now + delay, task };
    this.tasks.push(entry);
    return () => {
      this.tasks = this.tasks.filter((other) => other !== entry);
    };
  }
  async pass(ms: number): Promise<void> {
    this.now += ms;
    const due = this.tasks.filter((entry) => entry.at <= this.now);
    this.tasks = this.tasks.filter((entry) => entry.at > this.now);
    for (const { task } of due) task();
    for (let i = 0; i < 8; i++) await Promise.resolve();
    await new Promise((done) => setTimeout(done, 0));
  }
}

let around: Around;
let store: DeskStore;
const kept = new Map<string, string>();
const frost = (value: number) =>
  store.getState().edit((d) => {
    d.ground.frost.local = value;
  }, 'frost');
const state = () => store.getState().saving.state;

beforeEach(() => {
  kept.clear();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  });
  around = new Around();
  store = makeDesk(blankPlan('Shed', 'metric'), 1);
  autosave(store, 'job', around);
});
afterEach(() => vi.unstubAllGlobals());

describe('saving by itself', () => {
  it('waits for quiet, then saves the newest once, over the revision it was edited from', async () => {
    frost(1);
    await around.pass(400);
    frost(1.2);
    await around.pass(400);
    expect(around.posts).toHaveLength(0);
    expect(state()).toBe('unsaved');
    await around.pass(400);
    expect(around.posts.map((p) => [p.path, p.plan.ground.frost.local])).toEqual([
      ['/jobs/job/revisions?base=1', 1.2],
    ]);
    expect(state()).toBe('saved');
    expect(store.getState().base.revision).toBe(2);
    expect(kept.size).toBe(0);
  });

  it('saves again what was typed while a save was on its way', async () => {
    frost(1);
    const first = around.pass(700);
    frost(1.5);
    await first;
    expect(state()).toBe('unsaved');
    await around.pass(700);
    expect(around.posts.map((p) => p.plan.ground.frost.local)).toEqual([1, 1.5]);
    expect(around.posts[1]!.path).toContain('base=2');
    expect(state()).toBe('saved');
  });

  it('does not save what was undone back to what is saved', async () => {
    frost(1);
    store.getState().undo();
    await around.pass(1000);
    expect(around.posts).toHaveLength(0);
    expect(state()).toBe('saved');
  });

  it('keeps the edit in the browser while the server is away, and tries again, slower each time', async () => {
    around.answers = [
      new Error('offline'),
      new Response('', { status: 503 }),
      Response.json({ revision: 2 }),
    ];
    frost(1.1);
    await around.pass(700);
    expect(store.getState().saving).toEqual({ state: 'waiting', tries: 1 });
    expect(keptEdit('job')).toMatchObject({ revision: 1, plan: { ground: { frost: { local: 1.1 } } } });
    await around.pass(2000);
    expect(store.getState().saving).toEqual({ state: 'waiting', tries: 2 });
    await around.pass(3000);
    expect(around.posts).toHaveLength(2);
    await around.pass(1000);
    expect(state()).toBe('saved');
    expect(keptEdit('job')).toBeNull();
  });

  it('does not hurry a waiting save because of more typing, and sends the newest when it goes', async () => {
    around.answers = [new Error('offline')];
    frost(1);
    await around.pass(700);
    frost(1.4);
    await around.pass(800);
    expect(around.posts).toHaveLength(1);
    await around.pass(1300);
    expect(around.posts[1]!.plan.ground.frost.local).toBe(1.4);
  });

  it('takes a refused save of the very same plan for saved: only the answer was lost', async () => {
    frost(1);
    const { plan } = store.getState();
    // The database gives keys back in its own order.
    const theirs = Object.fromEntries(Object.entries(plan).reverse());
    around.answers = [new Error('cut off'), Response.json({ revision: 2, plan: theirs }, { status: 409 })];
    await around.pass(700);
    await around.pass(2000);
    expect(state()).toBe('saved');
    expect(store.getState().base.revision).toBe(2);
    expect(keptEdit('job')).toBeNull();
  });

  it('stops at a conflict and leaves both plans for the person to choose from', async () => {
    const theirs = { ...blankPlan('Shed', 'metric'), note: 'theirs' };
    around.answers = [Response.json({ revision: 4, plan: theirs, by: 'Ana' }, { status: 409 })];
    frost(1);
    await around.pass(700);
    expect(store.getState().saving).toEqual({
      state: 'conflict',
      conflict: { revision: 4, plan: theirs, by: 'Ana' },
    });
    expect(store.getState().plan.ground.frost.local).toBe(1);
    frost(1.2);
    await around.pass(60_000);
    expect(around.posts).toHaveLength(1);
  });

  it.each([
    [401, 'signedOut'],
    [404, 'gone'],
    [422, 'refused'],
    [500, 'waiting'],
    [409, 'waiting'],
  ] as const)('answers %i with “%s”, and loses nothing', async (status, expected) => {
    around.answers = [Response.json({ problems: [] }, { status })];
    frost(1.3);
    await around.pass(700);
    expect(state()).toBe(expected);
    expect(keptEdit('job')).toMatchObject({ plan: { ground: { frost: { local: 1.3 } } } });
  });

  it('tries again after signing in elsewhere, and after a refused value is mended', async () => {
    around.answers = [
      new Response('{}', { status: 401 }),
      Response.json({ revision: 2 }),
      Response.json({ problems: [] }, { status: 422 }),
    ];
    frost(1);
    await around.pass(700);
    await around.pass(5000);
    expect(state()).toBe('saved');
    frost(1.1);
    await around.pass(700);
    expect(state()).toBe('refused');
    frost(1.2);
    expect(state()).toBe('unsaved');
    await around.pass(700);
    expect(state()).toBe('saved');
  });
});

describe('a kept edit', () => {
  it('that is broken is no edit, and a full storage is no error', async () => {
    kept.set('cimiento:unsaved:job', '{broken');
    expect(keptEdit('job')).toBeNull();
    kept.set('cimiento:unsaved:job', '"text"');
    expect(keptEdit('job')).toBeNull();
    vi.stubGlobal('localStorage', {
      getItem: () => {
        throw new Error('no');
      },
      setItem: () => {
        throw new Error('full');
      },
      removeItem: () => {},
    });
    expect(keptEdit('job')).toBeNull();
    frost(1);
    await around.pass(700);
    expect(state()).toBe('saved');
  });
});
