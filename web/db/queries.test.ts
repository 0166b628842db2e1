import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { blankPlan, newPad, PLAN_VERSION, type Plan, type SiteRecord } from '@cimiento/core';
import { and, eq, sql } from 'drizzle-orm';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoJob, savingOf } from '../app/server/jobs.server.ts';
import { closeDatabase, db, isDatabaseDown } from './client.ts';
import { loadDemo } from './demo.ts';
import { DEMO_PERSON } from './demo-people.ts';
import { moveLegacyRecords } from './legacy-records.ts';
import { archiveLines, takeArchive } from './queries/archive.ts';
import { bringBack, createJob, findJob, listJobs, listRemoved, removeJob } from './queries/jobs.ts';
import { addRecords, listRecords, putRecords } from './queries/records.ts';
import {
  findRevision,
  listRevisions,
  listSaves,
  nameRevision,
  SITTING,
  saveRevision,
  setSummary,
} from './queries/revisions.ts';
import {
  checkPassword,
  closeSession,
  joinCrew,
  MOST_AT_ONCE,
  MOST_JOINS,
  openSession,
  personOf,
  rememberDevice,
  setPreferences,
  waitAfter,
} from './queries/sign-in.ts';
import { CHANNEL } from './queries/tell.ts';
import { crews, jobs, people, revisions, sessions } from './schema.ts';

const crewOf = async (personId: string) =>
  (await db.select().from(people).where(eq(people.id, personId)))[0]!.crewId;
let ana = { person: '', crew: '' };
let other = { person: '', crew: '' };

beforeAll(async () => {
  const make = async (name: string) => {
    const joined = await joinCrew(`${name} crew`, name, `${name}@test.example`, 'a-long-password');
    if (!joined.ok) throw new Error(joined.code);
    return { person: joined.personId, crew: await crewOf(joined.personId) };
  };
  ana = await make('ana');
  other = await make('other');
});
afterAll(closeDatabase);

const plan = (change: (p: Plan) => void = () => {}) => {
  const made = blankPlan('Shed', 'metric');
  change(made);
  return made;
};

describe('signing in', () => {
  it('takes the right password, whatever the case of the e-mail', async () => {
    expect(await checkPassword(' ANA@test.example ', 'a-long-password', '10.0.0.1')).toEqual({
      ok: true,
      personId: ana.person,
    });
    expect(await checkPassword('ana@test.example', 'wrong', '10.0.0.1')).toEqual({
      ok: false,
      code: 'wrong',
    });
    expect(await checkPassword('nobody@test.example', 'wrong', '10.0.0.1')).toEqual({
      ok: false,
      code: 'wrong',
    });
  });

  /** Holds tries back by no time at all, and remembers for how long it would have been. */
  const braked = () => {
    const waits: number[] = [];
    const pause = async (ms: number) => void waits.push(ms);
    const check = async (email: string, password: string, address: string, device: string | null = null) => {
      waits.length = 0;
      const answer = await checkPassword(email, password, address, device, pause);
      return { answer, wait: waits[0] ?? 0 };
    };
    return { check, pause };
  };

  it('is slowed down by strangers’ guesses at the account, from a new device too, and never shut out', async () => {
    const { check } = braked();
    for (let i = 0; i < 60; i++) await check('other@test.example', `guess${i}`, `10.1.0.${i}`);
    const { answer, wait } = await check('other@test.example', 'a-long-password', '10.9.9.9');
    expect(answer.ok).toBe(true);
    expect(wait).toBe(4000);
  });

  it('gets in from an address that forty-five wrong ones came from, after seconds', async () => {
    const { check } = braked();
    let longest = 0;
    for (let i = 0; i < 45; i++) {
      const { answer, wait } = await check(
        i % 3 ? 'ana@test.example' : `n${i}@test.example`,
        'wrong',
        '10.2.2.2',
      );
      expect(answer).toEqual({ ok: false, code: 'wrong' });
      longest = Math.max(longest, wait);
    }
    expect(longest).toBe(8000);
    const own = await check('ana@test.example', 'a-long-password', '10.2.2.2');
    expect(own).toEqual({ answer: { ok: true, personId: ana.person }, wait: 8000 });
    // The right word clears what was wrong from here; others’ guesses still count for a while.
    expect((await check('ana@test.example', 'a-long-password', '10.2.2.2')).wait).toBe(4000);
    const fresh = await check('other@test.example', 'a-long-password', '10.2.2.3');
    expect(fresh.answer.ok).toBe(true);
  });

  it('waits longer with each wrong try from one place, up to a bound, and no time at all before the first few', () => {
    for (const brake of ['own', 'account', 'address'] as const) {
      const waits = Array.from({ length: 200 }, (_, wrong) => waitAfter(brake, wrong));
      expect(waits.slice(0, 5)).toEqual([0, 0, 0, 0, 0]);
      expect([...waits].sort((p, q) => p - q)).toEqual(waits);
      expect(Math.max(...waits)).toBeLessThanOrEqual(8000);
      expect(waits[199]).toBeGreaterThanOrEqual(4000);
    }
  });

  it('of many at once from one address holds back a few, and tells the rest to come in a moment', async () => {
    const joined = await joinCrew('flood crew', 'flood', 'flood@test.example', 'a-long-password');
    if (!joined.ok) throw new Error(joined.code);
    const { check } = braked();
    for (let i = 0; i < 8; i++) await check('flood@test.example', `guess${i}`, '10.7.0.1');
    let go = () => {};
    const gate = new Promise<void>((done) => {
      go = done;
    });
    const flood = Array.from({ length: 60 }, (_, i) =>
      checkPassword('flood@test.example', `more${i}`, '10.7.0.1', null, () => gate),
    );
    // Meanwhile its owner comes from elsewhere.
    expect((await check('flood@test.example', 'a-long-password', '10.7.0.2')).answer.ok).toBe(true);
    go();
    const answers = await Promise.all(flood);
    const told = answers.filter((answer) => !answer.ok && answer.code === 'tooMany');
    expect(answers.some((answer) => answer.ok)).toBe(false);
    expect(told).toHaveLength(60 - MOST_AT_ONCE);
    // On a device that has signed in before, strangers’ guesses cost nothing.
    const device = await rememberDevice(joined.personId, null);
    expect((await check('flood@test.example', 'a-long-password', '10.7.0.1', device)).wait).toBe(0);
    // Another's device is no device of this account.
    const strange = await rememberDevice(ana.person, null);
    expect((await check('flood@test.example', 'a-long-password', '10.7.0.1', strange)).wait).toBeGreaterThan(
      0,
    );
  });

  it('of ten that join with one e-mail at once one wins and nine are told, and no crew is left over', async () => {
    const before = await db.select().from(crews);
    const joins = await Promise.all(
      Array.from({ length: 10 }, (_, i) =>
        joinCrew('one of ten', `p${i}`, 'ten@test.example', 'a-long-password', `10.9.0.${i}`),
      ),
    );
    expect(joins.filter((join) => join.ok)).toHaveLength(1);
    expect(joins.filter((join) => !join.ok && join.code === 'emailTaken')).toHaveLength(9);
    expect((await db.select().from(crews)).length).toBe(before.length + 1);
  });

  it('lets one address start only so many crews', async () => {
    for (let i = 0; i < MOST_JOINS; i++)
      await db.execute(sql`insert into attempts (key) values ('join:10.5.5.5')`);
    expect(await joinCrew('x', 'x', 'late@test.example', 'a-long-password', '10.5.5.5')).toEqual({
      ok: false,
      code: 'tooMany',
    });
  });

  it('keeps no password and no token', async () => {
    const [row] = await db.select().from(people).where(eq(people.id, ana.person));
    expect(row!.passwordHash).toMatch(/^\$argon2id\$/);
    const { token } = await openSession(ana.person);
    const rows = await db.select().from(sessions);
    expect(rows.some((session) => session.tokenHash === token)).toBe(false);
  });

  it('opens, knows and closes a session, and forgets an expired one', async () => {
    const { token } = await openSession(ana.person);
    expect(await personOf(token)).toMatchObject({ id: ana.person, crew: 'ana crew', lang: null });
    expect(await personOf(token)).not.toHaveProperty('passwordHash');
    await setPreferences(ana.person, { lang: 'es', system: 'imperial' });
    expect(await personOf(token)).toMatchObject({ lang: 'es', system: 'imperial' });
    await closeSession(token);
    expect(await personOf(token)).toBeNull();
    const late = await openSession(ana.person);
    await db.execute(sql`update sessions set expires_at = now() - interval '1 second'`);
    expect(await personOf(late.token)).toBeNull();
    expect(await personOf('nonsense')).toBeNull();
  });

  it('lets an e-mail join once', async () => {
    expect(await joinCrew('x', 'x', 'Ana@test.example', 'a-long-password')).toEqual({
      ok: false,
      code: 'emailTaken',
    });
  });
});

describe('jobs', () => {
  it('belong to their crew and to no other', async () => {
    const id = await createJob(ana.crew, ana.person, savingOf(plan(), null));
    expect(await findJob(ana.crew, id)).toMatchObject({
      revision: 1,
      plan: { name: 'Shed' },
      updatedBy: 'ana',
    });
    expect(await findJob(other.crew, id)).toBeNull();
    expect(await findJob(ana.crew, 'not-an-id')).toBeNull();
    expect(await saveRevision(other.crew, id, other.person, 1, savingOf(plan(), plan()))).toEqual({
      ok: false,
      code: 'gone',
    });
    expect(await removeJob(other.crew, id)).toBe(false);
    expect((await listJobs(other.crew)).some((job) => job.id === id)).toBe(false);
  });

  it('keep every revision with who, when, why and what changed', async () => {
    const first = plan();
    const id = await createJob(ana.crew, ana.person, savingOf(first, null, 'new'));
    const second = plan((p) => {
      p.ground.frost.local = 1.1;
      p.name = 'Barn';
    });
    expect(await saveRevision(ana.crew, id, ana.person, 1, savingOf(second, first, 'frost'))).toEqual({
      ok: true,
      revision: 2,
    });
    const [newest, oldest] = await listRevisions(ana.crew, id);
    expect(newest).toMatchObject({
      number: 2,
      by: 'ana',
      why: 'frost',
      changes: [
        { path: '/name', from: 'Shed', to: 'Barn' },
        { path: '/ground/frost/local', from: null, to: 1.1 },
      ],
    });
    expect(newest!.at).toBeInstanceOf(Date);
    expect(oldest).toMatchObject({ number: 1, why: 'new' });
    expect((await findRevision(ana.crew, id, 1))!.plan).toEqual(first);
    expect((await listJobs(ana.crew))[0]).toMatchObject({ name: 'Barn', revision: 2, system: 'metric' });
  });

  it('refuse a stale save, and let only one of two at once through', async () => {
    const id = await createJob(ana.crew, ana.person, savingOf(plan(), null));
    const saves = await Promise.all(
      [1, 2, 3].map((n) =>
        saveRevision(
          ana.crew,
          id,
          ana.person,
          1,
          savingOf(
            plan((p) => {
              p.note = `n${n}`;
            }),
            plan(),
          ),
        ),
      ),
    );
    expect(saves.filter((s) => s.ok)).toHaveLength(1);
    expect(saves.filter((s) => !s.ok && s.code === 'stale')).toHaveLength(2);
    expect((await findJob(ana.crew, id))!.revision).toBe(2);
  });

  it('leave the board when removed, and come back with all their revisions for thirty days', async () => {
    const id = await createJob(ana.crew, ana.person, savingOf(plan(), null));
    await saveRevision(ana.crew, id, ana.person, 1, savingOf(plan(), plan()));
    expect(await removeJob(ana.crew, id)).toBe(true);
    expect(await findJob(ana.crew, id)).toBeNull();
    expect(await removeJob(ana.crew, id)).toBe(false);
    expect((await listRemoved(ana.crew)).map((job) => job.id)).toContain(id);
    expect(await listRemoved(other.crew)).toEqual([]);
    expect(await bringBack(other.crew, id)).toBe(false);
    expect(await bringBack(ana.crew, id)).toBe(true);
    expect((await findJob(ana.crew, id))!.revision).toBe(2);
    expect(await listRevisions(ana.crew, id)).toHaveLength(2);
    await removeJob(ana.crew, id);
    await db.execute(sql`update jobs set removed_at = now() - interval '31 days' where id = ${id}`);
    expect(await bringBack(ana.crew, id)).toBe(false);
    expect((await listRemoved(ana.crew)).map((job) => job.id)).not.toContain(id);
  });

  it('list all their revisions, a page at a time, to their own crew', async () => {
    const id = await createJob(ana.crew, ana.person, savingOf(plan(), null));
    const saving = savingOf(plan(), plan(), 'said why');
    for (let base = 1; base < 120; base++) await saveRevision(ana.crew, id, ana.person, base, saving);
    const seen: number[] = [];
    for (let before: number | undefined; ; ) {
      const page = await listRevisions(ana.crew, id, before);
      if (page.length === 0) break;
      seen.push(...page.map((revision) => revision.number));
      before = page.at(-1)!.number;
    }
    expect(seen).toEqual(Array.from({ length: 120 }, (_, i) => 120 - i));
    expect(await listRevisions(other.crew, id)).toEqual([]);
    expect(await findRevision(other.crew, id, 1)).toBeNull();
  });

  it('show the newest summary once it is worked out, and never an older one over it', async () => {
    const id = await createJob(ana.crew, ana.person, savingOf(plan(), null));
    const stale = { dig: 1, elements: 0, holds: [], stale: true };
    await saveRevision(ana.crew, id, ana.person, 1, { ...savingOf(plan(), plan(), 'a'), summary: stale });
    await saveRevision(ana.crew, id, ana.person, 2, { ...savingOf(plan(), plan(), 'b'), summary: stale });
    await setSummary(id, 3, { dig: 3, elements: 0, holds: [] });
    await setSummary(id, 2, { dig: 2, elements: 0, holds: [] });
    expect((await findJob(ana.crew, id))!.summary).toEqual({ dig: 3, elements: 0, holds: [] });
    const [newest, before] = await listRevisions(ana.crew, id);
    expect([newest!.summary.dig, before!.summary.dig]).toEqual([3, 2]);
  });
});

describe('saves within a sitting', () => {
  const begun = async () => createJob(ana.crew, ana.person, savingOf(plan(), null, 'new'));
  const noted = (note: string, change: (p: Plan) => void = () => {}) =>
    plan((p) => {
      p.note = note;
      change(p);
    });
  const save = async (id: string, base: number, made: Plan, who = ana, why = '') => {
    const saved = await saveRevision(ana.crew, id, who.person, base, savingOf(made, plan(), why));
    expect(saved).toEqual({ ok: true, revision: base + 1 });
  };
  const listed = async (id: string) =>
    (await listRevisions(ana.crew, id)).map(({ first, number }) => [first, number]);
  const noteAt = async (id: string, number: number) => (await findRevision(ana.crew, id, number))?.plan.note;

  it('by one person are one revision that grows, and each of them can still be had', async () => {
    const id = await begun();
    const plans = [plan()];
    const things = ['a', 'b', 'c', 'd'].map((name, i) => ({ ...newPad(plan(), [i, 0]), id: name, name }));
    // Put in, taken out, put back in another order, changed, and a word that is not plain.
    for (const order of ['a', 'ab', 'abc', 'cab', 'ac', 'acbd', 'dcba'])
      plans.push(
        noted(`${order} “é”`, (p) => {
          p.elements = [...order].map((name) => things.find((thing) => thing.id === name)!);
          p.ground.frost.local = order.length / 4;
        }),
      );
    for (const [i, made] of plans.entries()) if (i > 0) await save(id, i, made);
    expect(await listed(id)).toEqual([
      [2, 8],
      [1, 1],
    ]);
    for (const [i, made] of plans.entries())
      expect((await findRevision(ana.crew, id, i + 1))!.plan).toEqual(made);
    expect(await findRevision(ana.crew, id, 9)).toBeNull();
    // It says what changed since the sitting began, not since its last pause.
    const [grown] = await listRevisions(ana.crew, id);
    expect(grown!.changes.map(({ path }) => path)).toEqual(
      expect.arrayContaining(['/note', '/ground/frost/local', '/elements/a', '/elements/d']),
    );
  });

  it('are of that person, that sitting, and of nothing that says why', async () => {
    const id = await begun();
    await save(id, 1, noted('mine'));
    await save(id, 2, noted('theirs'), other);
    await save(id, 3, noted('mine again'));
    await save(id, 4, noted('mine still'));
    await save(id, 5, noted('said'), ana, 'the engineer called');
    await save(id, 6, noted('after'));
    expect(await listed(id)).toEqual([
      [7, 7],
      [6, 6],
      [4, 5],
      [3, 3],
      [2, 2],
      [1, 1],
    ]);
    await db.execute(
      sql`update revisions set at = at - ${`${SITTING} milliseconds`}::interval where job_id = ${id} and number = 7`,
    );
    await save(id, 7, noted('after a meal'));
    expect((await listed(id)).slice(0, 2)).toEqual([
      [8, 8],
      [7, 7],
    ]);
  });

  it('and what is worked out of them after never wait for each other', async () => {
    const id = await begun();
    const summary = { dig: 1, elements: 0, holds: [] };
    const worked: Promise<void>[] = [];
    for (let n = 1; n <= 25; n++) {
      await save(id, n, noted(`${n}`));
      worked.push(setSummary(id, n + 1, summary), setSummary(id, n, summary));
    }
    await Promise.all(worked);
    expect(await listed(id)).toEqual([
      [2, 26],
      [1, 1],
    ]);
  });

  it('that a record or a print names stand for themselves, also when it comes late', async () => {
    const id = await begun();
    for (let n = 2; n <= 6; n++) await save(id, n - 1, noted(`n${n}`));
    const record = { id: 'late', kind: 'note', at: '2026-05-01T07:00:00.000Z', by: '', element: null };
    await addRecords(ana.crew, id, ana.person, [
      {
        ...record,
        placement: null,
        place: null,
        corrects: null,
        after: null,
        revision: 4,
        value: { text: 'seen' },
      } as SiteRecord,
    ]);
    expect(await listed(id)).toEqual([
      [5, 6],
      [2, 4],
      [1, 1],
    ]);
    await nameRevision(ana.crew, id, 6);
    await save(id, 6, noted('n7'));
    await save(id, 7, noted('n8'));
    await nameRevision(ana.crew, id, 2);
    expect(await listed(id)).toEqual([
      [7, 8],
      [5, 6],
      [3, 4],
      [2, 2],
      [1, 1],
    ]);
    for (let n = 2; n <= 8; n++) expect(await noteAt(id, n)).toBe(`n${n}`);
    const [, , third, second] = await listRevisions(ana.crew, id);
    expect(second!.changes).toEqual([{ path: '/note', from: '', to: 'n2' }]);
    expect(third!.changes).toEqual([{ path: '/note', from: 'n2', to: 'n4' }]);
  });

  it('are listed under the revision that grew over them, a page at a time', async () => {
    const id = await begun();
    for (let n = 1; n <= 60; n++) await save(id, n, noted(`${n}`));
    const first = await listSaves(ana.crew, id, 61);
    expect(first.map(({ number }) => number)).toEqual(Array.from({ length: 40 }, (_, i) => 60 - i));
    const next = await listSaves(ana.crew, id, 61, 21);
    expect(next.map(({ number }) => number)).toEqual(Array.from({ length: 19 }, (_, i) => 20 - i));
    expect(await listSaves(other.crew, id, 61)).toEqual([]);
    expect(await listSaves(ana.crew, id, 1)).toEqual([]);
  });

  it('keep little more than what they change', async () => {
    const { plan: honey } = await demoJob('honey-house');
    const id = await createJob(ana.crew, ana.person, savingOf(honey, null, 'new'));
    const SAVES = 80;
    const summary = { dig: 1, elements: 0, holds: [] };
    for (let n = 1; n <= SAVES; n++)
      await saveRevision(
        ana.crew,
        id,
        ana.person,
        n,
        savingOf({ ...honey, note: `${n}` }, honey, '', summary),
      );
    const { rows } = await db.execute<{ kept: number }>(
      sql`select (select coalesce(sum(octet_length(plan::text) + octet_length(changes::text)), 0) from revisions where job_id = ${id})
        + (select coalesce(sum(octet_length(back::text)), 0) from saves where job_id = ${id}) as kept`,
    );
    // 5 MB for two thousand.
    expect(Number(rows[0]!.kept)).toBeLessThan((5e6 * SAVES) / 2000);
    expect(await noteAt(id, 77)).toBe('76');
  });

  it('come out of an archive as they ended; what names one within names what it grew into', async () => {
    const id = await createJob(ana.crew, ana.person, savingOf(plan(), null, 'new'));
    for (let n = 2; n <= 5; n++)
      await save(
        id,
        n - 1,
        noted(`n${n}`, (p) => {
          p.name = 'Grown';
        }),
      );
    const sent: string[] = [];
    for await (const one of archiveLines(ana.crew)) sent.push(one);
    async function* rows() {
      yield* sent;
    }
    const mover = await joinCrew('grown home', 'grown', 'grown@test.example', 'a-long-password');
    if (!mover.ok) throw new Error(mover.code);
    const home = await crewOf(mover.personId);
    expect(await takeArchive(home, mover.personId, rows)).toMatchObject({ ok: true });
    const copy = (await listJobs(home)).find((job) => job.name === 'Grown')!;
    expect((await listRevisions(home, copy.id)).map(({ first, number }) => [first, number])).toEqual([
      [2, 5],
      [1, 1],
    ]);
    expect((await findRevision(home, copy.id, 3))!.plan.note).toBe('n5');
    await nameRevision(home, copy.id, 3);
    const saved = await saveRevision(home, copy.id, mover.personId, 5, savingOf(noted('n6'), plan()));
    expect(saved).toEqual({ ok: true, revision: 6 });
    expect(await listRevisions(home, copy.id)).toHaveLength(3);
  });
});

describe('jobs saved by an earlier version', () => {
  const first: unknown = JSON.parse(
    readFileSync(join(import.meta.dirname, '../../core/src/plan/versions/v1-honey-house.json'), 'utf8'),
  );
  it('open as plans of today, and so do their revisions', async () => {
    const id = await createJob(ana.crew, ana.person, savingOf(plan(), null));
    // As the earlier program left it in the tables.
    await db.execute(sql`update jobs set plan = ${JSON.stringify(first)}::jsonb where id = ${id}`);
    await db.execute(sql`update revisions set plan = ${JSON.stringify(first)}::jsonb where job_id = ${id}`);
    const job = (await findJob(ana.crew, id))!;
    expect(job.plan.version).toBe(PLAN_VERSION);
    expect(job.plan.ground.logs[0]!.layers).toHaveLength(3);
    expect((await findRevision(ana.crew, id, 1))!.plan).toEqual(job.plan);
    const saved = await saveRevision(ana.crew, id, ana.person, 1, savingOf(job.plan, job.plan));
    expect(saved).toEqual({ ok: true, revision: 2 });
    expect((await findJob(ana.crew, id))!.plan).toEqual(job.plan);
  });
  it('of a version nobody knows are an error said aloud, not a broken desk', async () => {
    const id = await createJob(ana.crew, ana.person, savingOf(plan(), null));
    await db.execute(sql`update jobs set plan = jsonb_set(plan, '{version}', '99') where id = ${id}`);
    await expect(findJob(ana.crew, id)).rejects.toThrow('version');
  });
});

describe('the demo', () => {
  it('is loaded once', async () => {
    expect(await loadDemo()).toBe(true);
    expect(await loadDemo()).toBe(false);
    const signed = await checkPassword(DEMO_PERSON.email, DEMO_PERSON.password, '10.0.0.9');
    expect(signed.ok).toBe(true);
    const jobs = signed.ok ? await listJobs(await crewOf(signed.personId)) : [];
    expect(jobs.map((job) => [job.name, job.place, job.summary.holds.includes('water')])).toEqual([
      ['Honey house', 'Alto Sereno', true],
      ['Bell frame', 'Tamarack Flat', false],
      ['Drying barn', 'Quebrada Vieja', false],
      ['Cheese vault', 'Colmena Baja', true],
      ['Seed store', 'Loma Clara', false],
      ['Chapel porch', 'Vado Hondo', false],
      ['Reading room', 'Casa Larga', true],
      ['Footbridge', 'Arroyo Manso', true],
    ]);
    expect(jobs[0]!.summary.dig).toBeGreaterThan(100);
  });
});

describe('a database that is away', () => {
  it('is told from other errors, however deep', () => {
    const refused = Object.assign(new Error('connect'), { code: 'ECONNREFUSED' });
    expect(isDatabaseDown(new Error('query', { cause: refused }))).toBe(true);
    expect(isDatabaseDown(new AggregateError([refused]))).toBe(true);
    expect(isDatabaseDown(Object.assign(new Error('x'), { code: '57P01' }))).toBe(true);
    expect(isDatabaseDown(Object.assign(new Error('x'), { code: '23505' }))).toBe(false);
    expect(isDatabaseDown('no')).toBe(false);
  });
});

describe('a crew’s whole data in one file', () => {
  const lines = async (crew: string) => {
    const out: string[] = [];
    for await (const line of archiveLines(crew)) out.push(line);
    return out;
  };
  const from = (list: readonly string[]) =>
    async function* () {
      yield* list;
    };
  const whole = (crew: string) => db.select().from(jobs).where(eq(jobs.crewId, crew));

  it('goes out and comes in again with every job, revision, name and date', async () => {
    const id = await createJob(other.crew, other.person, savingOf(plan(), null, 'new'));
    const deeper = plan((p) => {
      p.ground.frost.local = 1.3;
      p.name = 'Deeper';
    });
    await saveRevision(other.crew, id, other.person, 1, savingOf(deeper, plan(), 'frost'));
    const gone = await createJob(other.crew, other.person, savingOf(plan(), null));
    await removeJob(other.crew, gone);
    const sent = await lines(other.crew);
    const joined = await joinCrew('new home', 'mover', 'mover@test.example', 'a-long-password');
    if (!joined.ok) throw new Error(joined.code);
    const home = await crewOf(joined.personId);
    const taken = await takeArchive(home, joined.personId, from(sent));
    const theirs = await whole(other.crew);
    expect(taken).toMatchObject({ ok: true, jobs: theirs.length });
    const ours = await whole(home);
    const told = (list: typeof ours) =>
      list
        .map((job) => [job.name, job.revision, JSON.stringify(job.plan), job.removedAt?.getTime() ?? null])
        .sort();
    expect(told(ours)).toEqual(told(theirs));
    const copy = ours.find((job) => job.name === 'Deeper')!;
    const [newest, oldest] = await listRevisions(home, copy.id);
    expect(newest).toMatchObject({ number: 2, by: 'other', why: 'frost' });
    expect(oldest).toMatchObject({ number: 1, why: 'new' });
    expect((await findRevision(home, copy.id, 1))!.plan).toEqual(plan());
  });

  it('holds no transaction open while it is read, however long that takes', async () => {
    const sent = await lines(other.crew);
    let busy = -1;
    const slow = async function* () {
      for (const line of sent.slice(0, 3)) {
        await new Promise((next) => setTimeout(next, 30));
        const { rows } = await db.execute<{ n: number }>(
          sql`select count(*)::int as n from pg_stat_activity where datname = current_database() and state like 'idle in transaction%'`,
        );
        busy = Math.max(busy, rows[0]!.n);
        yield line;
      }
    };
    expect(await takeArchive(ana.crew, ana.person, slow)).toMatchObject({ ok: false, code: 'archiveCut' });
    expect(busy).toBe(0);
  });

  it('with numbers, dates, texts or nesting that no table takes is refused with its line', async () => {
    const sent = await lines(other.crew);
    const at = sent.findIndex((line) => line.includes('"kind":"revision"'));
    const row = JSON.parse(sent[at]!) as Record<string, unknown>;
    const deep = JSON.parse(`${'['.repeat(20_000)}${']'.repeat(20_000)}`) as unknown;
    // Nested so deep it cannot be written by the usual way either.
    const nested = (key: string) =>
      sent[at]!.replace(
        /"changes":\[.*?\],"plan"/,
        `"changes":[{"path":"/x","${key}":${'['.repeat(20_000)}${']'.repeat(20_000)}}],"plan"`,
      );
    expect(deep).toBeDefined();
    const wrong: Record<string, string> = {
      'number 2³¹': JSON.stringify({ ...row, number: 2 ** 31 }),
      'number 2³¹ − 1': JSON.stringify({ ...row, number: 2 ** 31 - 1 }),
      'number 0': JSON.stringify({ ...row, number: 0 }),
      'year 0': JSON.stringify({ ...row, at: '0000-01-01T00:00:00Z' }),
      'before Christ': JSON.stringify({ ...row, at: '-000400-01-01T00:00:00Z' }),
      'year 275760': JSON.stringify({ ...row, at: '+275760-09-13T00:00:00Z' }),
      'no date': JSON.stringify({ ...row, at: 'yesterday' }),
      'NUL in a path': JSON.stringify({ ...row, changes: [{ path: '/a\u0000', from: 1, to: 2 }] }),
      'NUL in a value': JSON.stringify({ ...row, changes: [{ path: '/a', from: { b: ['\u0000'] }, to: 2 }] }),
      'NUL in a name': JSON.stringify({ ...row, changes: [{ path: '/a', from: { '\u0000': 1 }, to: 2 }] }),
      'half an emoji': JSON.stringify({ ...row, changes: [{ path: '/a', from: '\ud83d', to: 2 }] }),
      'changes that are none': JSON.stringify({ ...row, changes: { path: '/a' } }),
      'depth 20 000 from': nested('from'),
      'depth 20 000 to': nested('to'),
    };
    for (const [what, line] of Object.entries(wrong)) {
      const taken = await takeArchive(ana.crew, ana.person, from(sent.with(at, line)));
      expect(taken, what).toEqual({ ok: false, code: 'archiveBroken', line: at + 1 });
    }
    const job = sent.findIndex((line) => line.includes('"kind":"job"'));
    const removed = sent[job]!.replace(/"removedAt":[^}]*/, '"removedAt":"0000-01-01T00:00:00Z"');
    expect(await takeArchive(ana.crew, ana.person, from(sent.with(job, removed)))).toEqual({
      ok: false,
      code: 'archiveBroken',
      line: job + 1,
    });
  });

  it('is taken whole or not at all', async () => {
    const sent = await lines(other.crew);
    const count = async () =>
      (await db.select({ id: jobs.id }).from(jobs).where(eq(jobs.crewId, ana.crew))).length;
    const before = await count();
    const take = (list: readonly string[]) => takeArchive(ana.crew, ana.person, from(list));
    expect(await take(sent.slice(0, -1))).toMatchObject({ ok: false, code: 'archiveCut' });
    expect(await take([...sent.slice(0, 3), '{"kind":"revision"', ...sent.slice(3)])).toMatchObject({
      ok: false,
      code: 'archiveBroken',
      line: 4,
    });
    expect(await take(['{"some":"json"}'])).toMatchObject({ ok: false, code: 'notAnArchive' });
    expect(await take(['no json'])).toMatchObject({ ok: false, code: 'notAnArchive', line: 1 });
    expect(await take([])).toMatchObject({ ok: false, code: 'notAnArchive' });
    expect(await count()).toBe(before);
  });
});

describe('a connection that goes away in the middle of a transaction', () => {
  it('fails that one request as “away”, takes nothing else with it, and the next one works', async () => {
    const cut = db.transaction(async (tx) => {
      const { rows } = await tx.execute(sql`select pg_backend_pid() as pid`);
      await db.execute(sql`select pg_terminate_backend(${rows[0]!.pid})`);
      // Given time to arrive while nobody asks anything: an error no query is there to take.
      await new Promise((next) => setTimeout(next, 100));
      await tx.execute(sql`select 1`);
    });
    const error = await cut.catch((e: unknown) => e);
    expect(isDatabaseDown(error)).toBe(true);
    expect((await db.execute(sql`select 1 as one`)).rows).toEqual([{ one: 1 }]);
  });
});

describe('records', () => {
  const note = (id: string, text = id): SiteRecord => ({
    id,
    kind: 'note',
    at: '2026-05-01T07:00:00.000Z',
    by: 'Ana',
    element: null,
    placement: null,
    place: [1, 2],
    corrects: null,
    after: null,
    revision: null,
    value: { text },
  });
  const job = () => createJob(ana.crew, ana.person, savingOf(plan(), null));

  it('bring the job they are logged on to the head of the board, whatever was planned since', async () => {
    const worked = await createJob(ana.crew, ana.person, savingOf(plan(), null));
    const planned = await createJob(ana.crew, ana.person, savingOf(plan(), null));
    const heads = async () => (await listJobs(ana.crew)).slice(0, 2).map(({ id }) => id);
    expect(await heads()).toEqual([planned, worked]);
    await addRecords(ana.crew, worked, ana.person, [note('today')]);
    expect(await heads()).toEqual([worked, planned]);
  });

  it('are added, sent twice kept once, and never changed by a second of the same id', async () => {
    const id = await job();
    expect(await addRecords(ana.crew, id, ana.person, [note('a'), note('b')])).toBe(2);
    expect(await addRecords(ana.crew, id, ana.person, [note('b', 'other'), note('c')])).toBe(1);
    const rows = await listRecords(ana.crew, id);
    expect(rows.map((row) => row.record)).toEqual([note('a'), note('b'), note('c')]);
    expect((await listRecords(ana.crew, id, rows[1]!.seq)).map((row) => row.record.id)).toEqual(['c']);
  });

  it('of another crew are not there, neither to read nor to add to, nor of a job off the board', async () => {
    const id = await job();
    await addRecords(ana.crew, id, ana.person, [note('a')]);
    expect(await listRecords(other.crew, id)).toEqual([]);
    expect(await addRecords(other.crew, id, other.person, [note('x')])).toBeNull();
    expect(await addRecords(ana.crew, 'no-id', ana.person, [note('x')])).toBeNull();
    await removeJob(ana.crew, id);
    expect(await addRecords(ana.crew, id, ana.person, [note('y')])).toBeNull();
    expect(await listRecords(ana.crew, id)).toEqual([]);
  });

  it('of one id may stand on two jobs', async () => {
    const [one, two] = [await job(), await job()];
    expect(await addRecords(ana.crew, one, ana.person, [note('same')])).toBe(1);
    expect(await addRecords(ana.crew, two, ana.person, [note('same')])).toBe(1);
  });

  it('tell every server that listens, once they are there', async () => {
    const id = await job();
    const client = new pg.Client({ connectionString: process.env.DATABASE_URL });
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
    const heard: unknown[] = [];
    client.on('notification', ({ payload }) => heard.push(JSON.parse(payload ?? '')));
    await addRecords(ana.crew, id, ana.person, [note('a')]);
    await addRecords(ana.crew, id, ana.person, [note('a')]);
    await saveRevision(ana.crew, id, ana.person, 1, savingOf(plan(), plan()));
    await client.query('select 1');
    await client.end();
    // What was there already is no news.
    expect(heard).toEqual([
      { job: id, what: 'records' },
      { job: id, what: 'revision', number: 2 },
    ]);
  });

  it('are read in an order no reader can overtake: one that commits late is not skipped', async () => {
    const id = await job();
    let commit = () => {};
    const late = new Promise<void>((done) => {
      commit = done;
    });
    let put = () => {};
    const written = new Promise<void>((done) => {
      put = done;
    });
    // As addRecords does, but held open before it commits.
    const first = db.transaction(async (tx) => {
      await tx.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, id)).for('update');
      await putRecords(tx, { crewId: ana.crew, jobId: id, newest: 1 }, ana.person, [note('late')]);
      put();
      await late;
    });
    await written;
    const second = addRecords(ana.crew, id, ana.person, [note('quick')]);
    const quick = await Promise.race([
      second.then(() => true),
      new Promise((done) => setTimeout(() => done(false), 200)),
    ]);
    // Somebody looks now: what they see must not put them past the one still under way.
    const seen = await listRecords(ana.crew, id);
    const last = seen.at(-1)?.seq ?? 0;
    commit();
    await Promise.all([first, second]);
    const after = await listRecords(ana.crew, id, last);
    expect([...seen, ...after].map((row) => row.record.id)).toEqual(['late', 'quick']);
    expect(quick).toBe(false);
  });

  it('name the revision they were seen against, and it stands for itself; one not there is not named', async () => {
    const id = await job();
    const named = async () =>
      (
        await db
          .select({ number: revisions.number })
          .from(revisions)
          .where(and(eq(revisions.jobId, id), eq(revisions.named, true)))
      ).map((row) => row.number);
    await saveRevision(ana.crew, id, ana.person, 1, savingOf(plan(), plan()));
    await saveRevision(ana.crew, id, ana.person, 2, savingOf(plan(), plan()));
    await addRecords(ana.crew, id, ana.person, [
      { ...note('a'), revision: 2, after: null },
      { ...note('b'), revision: 7, after: 'a' },
    ]);
    expect(await named()).toEqual([2]);
    const rows = await listRecords(ana.crew, id);
    expect(rows.map(({ record }) => [record.revision, record.after])).toEqual([
      [2, null],
      [null, 'a'],
    ]);
    // A print names its revision, of one's own job only.
    await nameRevision(other.crew, id, 3);
    expect(await named()).toEqual([2]);
    await nameRevision(ana.crew, id, 3);
    expect((await named()).sort()).toEqual([2, 3]);
  });

  it('go along in the crew’s archive, and come in again', async () => {
    const id = await createJob(
      other.crew,
      other.person,
      savingOf({ ...plan(), name: 'Logged' }, null, 'file', undefined, [note('a'), note('b')]),
    );
    const lines: string[] = [];
    for await (const line of archiveLines(other.crew)) lines.push(line);
    async function* given() {
      yield* lines;
    }
    const taken = await takeArchive(ana.crew, ana.person, given);
    expect(taken).toMatchObject({ ok: true });
    const [copy] = (await listJobs(ana.crew)).filter((row) => row.name === 'Logged');
    expect(copy!.id).not.toBe(id);
    expect((await listRecords(ana.crew, copy!.id)).map((row) => row.record)).toEqual([note('a'), note('b')]);
    async function* cut() {
      yield* lines.filter((line) => !line.includes('"kind":"record"'));
    }
    expect(await takeArchive(ana.crew, ana.person, cut)).toMatchObject({
      ok: false,
      code: 'archiveCut',
    });
  });

  it('written before placements had a name are read as they are written now; the row stays as it was', async () => {
    const id = await job();
    await addRecords(ana.crew, id, ana.person, [note('n')]);
    const value = { bed: 'bed-1', layer: 'layer-2', lift: 3, what: 'rolled' };
    await db.execute(
      sql`update records set kind = 'rework', element = 'E1', value = ${JSON.stringify(value)}::jsonb where job_id = ${id}`,
    );
    const [row] = await listRecords(ana.crew, id);
    expect(row!.record).toMatchObject({
      kind: 'rework',
      element: 'E1',
      placement: 'bed/bed-1/layer-2/3',
      value: { what: 'rolled' },
    });
    expect((await db.execute(sql`select value from records where job_id = ${id}`)).rows).toEqual([{ value }]);
    const now = {
      ...note('m'),
      kind: 'rework',
      placement: 'fill/2',
      value: { what: 'wetted' },
    } as SiteRecord;
    await addRecords(ana.crew, id, ana.person, [now]);
    expect((await listRecords(ana.crew, id)).at(-1)!.record).toEqual({ ...now, by: 'Ana' });
  });

  it('in a plan of version 5 are moved beside it once, however often the server starts', async () => {
    const id = await job();
    const old = JSON.parse(
      readFileSync(join(import.meta.dirname, '../../core/src/plan/versions/v5-honey-house.json'), 'utf8'),
    ) as { dig: { machines: { logged: unknown[] }[] }; ground: { hazards: { confirmed: boolean }[] } };
    old.dig.machines[0]!.logged = [{ when: '2026-03-04', volume: 52, hours: 7 }];
    old.ground.hazards[0]!.confirmed = true;
    await db.execute(sql`update jobs set plan = ${JSON.stringify(old)}::jsonb where id = ${id}`);
    const client = new pg.Client({ connectionString: process.env.DATABASE_URL });
    await client.connect();
    await moveLegacyRecords(client);
    const first = await listRecords(ana.crew, id);
    expect(first.map((row) => row.record.kind)).toEqual(['dug', 'exposed']);
    expect(await moveLegacyRecords(client)).toBe(0);
    await client.end();
    expect((await findJob(ana.crew, id))!.plan.version).toBe(PLAN_VERSION);
  });

  it('of how low a bottom was, in a plan of version 11, is one shot of it from there on', async () => {
    const id = await job();
    const old = JSON.parse(
      readFileSync(join(import.meta.dirname, '../../core/src/plan/versions/v11-honey-house.json'), 'utf8'),
    ) as { elements: { id: string; low: number }[] };
    old.elements[2]!.low = 0.06;
    await db.execute(sql`update jobs set plan = ${JSON.stringify(old)}::jsonb where id = ${id}`);
    const client = new pg.Client({ connectionString: process.env.DATABASE_URL });
    await client.connect();
    await moveLegacyRecords(client);
    await moveLegacyRecords(client);
    await client.end();
    const rows = await listRecords(ana.crew, id);
    expect(rows.map(({ record }) => [record.kind, record.element, record.value])).toEqual([
      ['shot', old.elements[2]!.id, { on: 'formation', from: { by: 'said', low: 0.06 } }],
    ]);
  });
});
