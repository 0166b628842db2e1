import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { blankPlan, PLAN_VERSION, type Plan } from '@cimiento/core';
import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { savingOf } from '../app/server/jobs.server.ts';
import { closeDatabase, db, isDatabaseDown } from './client.ts';
import { loadDemo } from './demo.ts';
import { DEMO_PERSON } from './demo-people.ts';
import {
  createJob,
  findJob,
  findRevision,
  listJobs,
  listRevisions,
  removeJob,
  saveRevision,
} from './queries/jobs.ts';
import {
  checkPassword,
  closeSession,
  joinCrew,
  MOST_ATTEMPTS,
  openSession,
  personOf,
  setPreferences,
} from './queries/sign-in.ts';
import { people, sessions } from './schema.ts';

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

  it('stops guessing at one account, even with the right word, and a good one clears the slate', async () => {
    for (let i = 0; i < MOST_ATTEMPTS.account; i++)
      await checkPassword('other@test.example', `guess${i}`, `10.1.0.${i}`);
    expect(await checkPassword('other@test.example', 'a-long-password', '10.9.9.9')).toEqual({
      ok: false,
      code: 'tooMany',
    });
    await db.execute(sql`update attempts set at = now() - interval '16 minutes'`);
    expect((await checkPassword('other@test.example', 'a-long-password', '10.9.9.9')).ok).toBe(true);
  });

  it('stops guessing from one address over many accounts', async () => {
    for (let i = 0; i < MOST_ATTEMPTS.address; i++)
      await db.execute(sql`insert into attempts (key) values ('address:10.2.2.2')`);
    expect(await checkPassword('ana@test.example', 'a-long-password', '10.2.2.2')).toEqual({
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

  it('leave the board when removed', async () => {
    const id = await createJob(ana.crew, ana.person, savingOf(plan(), null));
    expect(await removeJob(ana.crew, id)).toBe(true);
    expect(await findJob(ana.crew, id)).toBeNull();
    expect(await removeJob(ana.crew, id)).toBe(false);
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
      ['Cheese vault', 'Colmena Baja', false],
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
