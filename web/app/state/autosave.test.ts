import { blankPlan, type Plan } from '@cimiento/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { autosave, LONGEST_SAVE, type Surroundings } from './autosave.ts';
import { jobsLeft, keepEdit, keptEdit, type Page, turnToPage } from './kept.ts';
import { type DeskStore, makeDesk } from './store.ts';

/** A server that answers what it is told, and a clock moved by hand. */
class Around implements Surroundings {
  readonly posts: { path: string; plan: Plan }[] = [];
  answers: (Response | Error | 'hangs')[] = [];
  private tasks: { at: number; task: () => void }[] = [];
  private now = 0;
  async post(path: string, body: string, signal: AbortSignal): Promise<Response> {
    this.posts.push({ path, plan: JSON.parse(body) as Plan });
    const answer = this.answers.shift() ?? Response.json({ revision: this.posts.length + 1 });
    if (answer instanceof Error) throw answer;
    if (answer === 'hangs')
      return new Promise((_, fail) => signal.addEventListener('abort', () => fail(new Error('aborted'))));
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
let room = Infinity;
/** Pages of this browser that are open. */
let open: string[] = [];
const page = (name: string, before: string | null = null): Page => {
  open.push(name);
  return { name, before, isOpen: async (other) => open.includes(other) };
};
const frost = (value: number) =>
  store.getState().edit((d) => {
    d.ground.frost.local = value;
  }, 'frost');
const state = () => store.getState().saving.state;

beforeEach(() => {
  kept.clear();
  room = Infinity;
  open = [];
  vi.stubGlobal('localStorage', {
    get length() {
      return kept.size;
    },
    key: (i: number) => [...kept.keys()][i] ?? null,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => {
      if (value.length > room) throw new Error('QuotaExceededError');
      kept.set(key, value);
    },
    removeItem: (key: string) => void kept.delete(key),
  });
  turnToPage(page('one'));
  around = new Around();
  store = makeDesk(blankPlan('Shed', 'metric'), 1);
  autosave(store, 'job', 'ann', around);
});
afterEach(() => {
  turnToPage(null);
  vi.unstubAllGlobals();
});

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
      ['/jobs/job/revisions?base=1&person=ann', 1.2],
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
    expect(await keptEdit('job', 'ann')).toMatchObject({
      revision: 1,
      plan: { ground: { frost: { local: 1.1 } } },
    });
    await around.pass(2000);
    expect(store.getState().saving).toEqual({ state: 'waiting', tries: 2 });
    await around.pass(3000);
    expect(around.posts).toHaveLength(2);
    await around.pass(1000);
    expect(state()).toBe('saved');
    expect(await keptEdit('job', 'ann')).toBeNull();
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
    expect(await keptEdit('job', 'ann')).toBeNull();
  });

  it('takes theirs after a conflict without saving them again', async () => {
    const theirs = { ...blankPlan('Shed', 'metric'), note: 'theirs' };
    around.answers = [Response.json({ revision: 2, plan: theirs, by: 'Ana' }, { status: 409 })];
    frost(1);
    await around.pass(700);
    store.setState({ base: { revision: 2, plan: theirs }, saving: { state: 'saved' } });
    store.getState().replace(theirs);
    await around.pass(1000);
    expect(around.posts).toHaveLength(1);
    expect(state()).toBe('saved');
    expect(kept.size).toBe(0);
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
    [400, 'failed'],
    [403, 'failed'],
    [413, 'failed'],
    [500, 'failed'],
    [503, 'waiting'],
    [409, 'waiting'],
  ] as const)('answers %i with “%s”, and loses nothing', async (status, expected) => {
    around.answers = [Response.json({ problems: [] }, { status })];
    frost(1.3);
    await around.pass(700);
    expect(state()).toBe(expected);
    expect(await keptEdit('job', 'ann')).toMatchObject({ plan: { ground: { frost: { local: 1.3 } } } });
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

describe('a save that hangs', () => {
  it('is given up in time and tried again, and every edit typed meanwhile is kept at once', async () => {
    around.answers = ['hangs'];
    frost(1);
    await around.pass(700);
    expect(state()).toBe('saving');
    frost(1.1);
    frost(1.2);
    // Before the save has ended in any way.
    expect(await keptEdit('job', 'ann')).toMatchObject({ plan: { ground: { frost: { local: 1.2 } } } });
    await around.pass(LONGEST_SAVE);
    expect(state()).toBe('waiting');
    await around.pass(2000);
    expect(around.posts.map((p) => p.plan.ground.frost.local)).toEqual([1, 1.2]);
    expect(state()).toBe('saved');
    expect(kept.size).toBe(0);
  });

  it('that came through all the same is not taken for another person’s, and what was typed after is saved', async () => {
    around.answers = ['hangs'];
    frost(1);
    await around.pass(700);
    const landed = around.posts[0]!.plan;
    frost(1.4);
    await around.pass(LONGEST_SAVE);
    around.answers = [Response.json({ revision: 2, plan: landed, by: 'me' }, { status: 409 })];
    await around.pass(2000);
    expect(state()).toBe('unsaved');
    expect(store.getState().base).toMatchObject({ revision: 2, plan: { ground: { frost: { local: 1 } } } });
    await around.pass(700);
    expect(around.posts.at(-1)).toMatchObject({
      path: '/jobs/job/revisions?base=2&person=ann',
      plan: { ground: { frost: { local: 1.4 } } },
    });
    expect(state()).toBe('saved');
  });

  it('is remembered from the moment it is sent: the tab may close before anything is known', async () => {
    around.answers = ['hangs'];
    frost(1);
    await around.pass(700);
    frost(1.4);
    expect(await keptEdit('job', 'ann')).toMatchObject({
      plan: { ground: { frost: { local: 1.4 } } },
      sent: [{ revision: 1, plan: { ground: { frost: { local: 1 } } } }],
    });
  });

  it('is known again among several that were lost', async () => {
    around.answers = ['hangs', new Error('cut off'), new Error('cut off')];
    frost(1);
    await around.pass(700);
    frost(1.1);
    await around.pass(LONGEST_SAVE);
    await around.pass(2000);
    frost(1.2);
    await around.pass(4000);
    around.answers = [Response.json({ revision: 2, plan: around.posts[0]!.plan }, { status: 409 })];
    await around.pass(8000);
    expect(state()).toBe('unsaved');
    expect(store.getState().base.revision).toBe(2);
    await around.pass(700);
    expect(state()).toBe('saved');
    expect(around.posts.at(-1)!.plan.ground.frost.local).toBe(1.2);
  });

  it('is remembered with what is kept, for the page that comes after', async () => {
    around.answers = ['hangs'];
    frost(1);
    await around.pass(700);
    frost(1.4);
    await around.pass(LONGEST_SAVE);
    expect((await keptEdit('job', 'ann'))!.sent).toMatchObject([
      { revision: 1, plan: { ground: { frost: { local: 1 } } } },
    ]);
  });
});

describe('an answer that is not “away”', () => {
  it('says what is wrong and waits for the person; the next edit is tried at once', async () => {
    around.answers = [Response.json({ code: 'tooLarge' }, { status: 413 })];
    frost(1);
    await around.pass(700);
    expect(store.getState().saving).toEqual({ state: 'failed', code: 'tooLarge' });
    await around.pass(600_000);
    expect(around.posts).toHaveLength(1);
    frost(1.1);
    await around.pass(700);
    expect(state()).toBe('saved');
  });
});

describe('what is typed', () => {
  it('holds whole characters only', () => {
    store.getState().edit((d) => {
      d.name = 'Shed \u0000\ud83d';
      d.note = 'a\u0007b\nc';
    });
    expect(store.getState().plan).toMatchObject({ name: 'Shed ', note: 'ab\nc' });
    store.getState().undo();
    expect(store.getState().plan.name).toBe('Shed');
  });
  it('is nobody’s assumption any more, until it is undone', () => {
    expect(store.getState().plan.assumed).toContain('/levels/cover');
    store.getState().edit((d) => {
      d.levels.cover = 0.6;
    });
    expect(store.getState().plan.assumed).not.toContain('/levels/cover');
    expect(store.getState().plan.assumed).toContain('/ground/logs/0');
    store.getState().undo();
    expect(store.getState().plan.assumed).toContain('/levels/cover');
  });
});

describe('a full storage', () => {
  it('is told, and told no more once there is room', () => {
    room = 100;
    frost(1);
    expect(store.getState().kept).toBe(false);
    room = Infinity;
    frost(1.1);
    expect(store.getState().kept).toBe(true);
  });
});

describe('two tabs on one job', () => {
  const another = (note: string) => {
    const base = store.getState().base.plan;
    return { revision: 1, base, plan: { ...base, note }, sent: [], person: 'ann' };
  };
  it('keep apart what each has not saved, and a new one takes up what a closed one left', async () => {
    frost(1);
    turnToPage(page('two'));
    keepEdit('job', another('the other tab'));
    expect(kept.size).toBe(2);
    expect((await keptEdit('job', 'ann'))!.plan.note).toBe('the other tab');
    // Both are open: a third finds nothing of theirs.
    turnToPage(page('three'));
    expect(await keptEdit('job', 'ann')).toBeNull();
    open = ['one', 'three'];
    expect((await keptEdit('job', 'ann'))!.plan.note).toBe('the other tab');
    expect([...kept.keys()].sort()).toEqual(['cimiento:unsaved:job:one', 'cimiento:unsaved:job:three']);
  });
  it('one made from the other, with a copy of its storage, deletes nothing of it by saving', async () => {
    frost(1.51);
    // A tab duplicated knows the name of the page it was made from.
    turnToPage(page('two', 'one'));
    expect(await keptEdit('job', 'ann')).toBeNull();
    const second = new Around();
    const copy = makeDesk(store.getState().base.plan, 1);
    autosave(copy, 'job', 'ann', second);
    copy.getState().edit((d) => {
      d.note = 'from the copy';
    });
    await second.pass(700);
    expect(copy.getState().saving.state).toBe('saved');
    expect([...kept.keys()]).toEqual(['cimiento:unsaved:job:one']);
    // The first is closed before it could save: its 1.51 is still there.
    open = ['two'];
    expect((await keptEdit('job', 'ann'))!.plan.ground.frost.local).toBe(1.51);
  });
  it('after a reload go on with what their own page before left, though another left something newer', async () => {
    frost(1.2);
    await new Promise((done) => setTimeout(done, 3));
    turnToPage(page('two'));
    keepEdit('job', another('newer'));
    open = [];
    turnToPage(page('three', 'one'));
    expect((await keptEdit('job', 'ann'))!.plan.ground.frost.local).toBe(1.2);
  });
  it('of two people on one phone: what one left the other is not given', async () => {
    frost(1.2);
    open = [];
    turnToPage(page('two', 'one'));
    expect(await keptEdit('job', 'bea')).toBeNull();
    expect(await jobsLeft('bea')).toEqual([]);
    expect(await jobsLeft('ann')).toEqual(['job']);
    expect((await keptEdit('job', 'ann'))!.plan.ground.frost.local).toBe(1.2);
  });
});

describe('a kept edit', () => {
  it('that is broken is no edit, and a full storage is no error', async () => {
    kept.set('cimiento:unsaved:job:one', '{broken');
    expect(await keptEdit('job', 'ann')).toBeNull();
    kept.set('cimiento:unsaved:job:one', '"text"');
    expect(await keptEdit('job', 'ann')).toBeNull();
    vi.stubGlobal('localStorage', {
      getItem: () => {
        throw new Error('no');
      },
      setItem: () => {
        throw new Error('full');
      },
      removeItem: () => {},
    });
    expect(await keptEdit('job', 'ann')).toBeNull();
    frost(1);
    await around.pass(700);
    expect(state()).toBe('saved');
  });
});
