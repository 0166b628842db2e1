/** People of a crew: by link in, out again, and what stays; passwords and sessions. */
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { closeDatabase, db } from './client.ts';
import { listMails, sendMail } from './queries/mail.ts';
import {
  askReset,
  changePassword,
  endSession,
  isReset,
  listSessions,
  MOST_RESETS,
  takeReset,
} from './queries/passwords.ts';
import {
  enterBy,
  invite,
  invitedBy,
  leave,
  letCrewEdit,
  listInvites,
  listPeople,
  MOST_INVITES,
  setRole,
  withdrawInvite,
} from './queries/people.ts';
import { digest } from './queries/secrets.ts';
import { checkPassword, joinCrew, openSession, personOf } from './queries/sign-in.ts';
import { invites, people, resets } from './schema.ts';

let crew = '';
let lead = '';
let made = 0;

/** A crew of its own with its one lead. */
async function founded(): Promise<{ crew: string; lead: string; email: string }> {
  made += 1;
  const email = `founder${made}@people.example`;
  const joined = await joinCrew(`People ${made}`, `Founder ${made}`, email, 'a-long-password');
  if (!joined.ok) throw new Error(joined.code);
  const [row] = await db.select().from(people).where(eq(people.id, joined.personId));
  return { crew: row!.crewId, lead: joined.personId, email };
}
const newcomer = (n: string) => ({
  name: `New ${n}`,
  email: `new-${n}@people.example`,
  password: 'long-enough',
});

beforeAll(async () => {
  ({ crew, lead } = await founded());
});
afterAll(closeDatabase);

describe('a link that lets one more in', () => {
  it('lets one in, once, in the role it is for', async () => {
    const link = (await invite(crew, lead, 'crew'))!;
    expect(await invitedBy(link.token)).toMatchObject({ ok: true, role: 'crew', by: 'Founder 1' });
    const entered = await enterBy(link.token, newcomer('once'));
    expect(entered.ok).toBe(true);
    expect(await enterBy(link.token, newcomer('twice'))).toEqual({ ok: false, code: 'inviteUsed' });
    expect(await invitedBy(link.token)).toEqual({ ok: false, code: 'inviteUsed' });
    const all = await listPeople(crew);
    expect(all.map(({ name, role }) => [name, role])).toEqual([
      ['Founder 1', 'lead'],
      ['New once', 'crew'],
    ]);
    // The link itself is kept nowhere.
    const rows = await db.select().from(invites);
    expect(JSON.stringify(rows)).not.toContain(link.token);
  });
  it('lets one of ten in who press at once', async () => {
    const link = (await invite(crew, lead, 'crew'))!;
    const answers = await Promise.all(
      Array.from({ length: 10 }, (_, i) => enterBy(link.token, newcomer(`race${i}`))),
    );
    expect(answers.filter(({ ok }) => ok)).toHaveLength(1);
  });
  it('ends, is withdrawn, and is not open without end', async () => {
    const link = (await invite(crew, lead, 'lead'))!;
    await db
      .update(invites)
      .set({ expiresAt: new Date(Date.now() - 1000) })
      .where(eq(invites.tokenHash, digest(link.token)));
    expect(await enterBy(link.token, newcomer('late'))).toEqual({ ok: false, code: 'inviteLate' });
    expect(await enterBy('no-such-link', newcomer('lost'))).toEqual({ ok: false, code: 'inviteUnknown' });
    const gone = (await invite(crew, lead, 'crew'))!;
    const [open] = await listInvites(crew);
    const stranger = await founded();
    expect(await withdrawInvite(stranger.crew, open!.id)).toBe(false);
    expect(await withdrawInvite(crew, open!.id)).toBe(true);
    expect(await invitedBy(gone.token)).toEqual({ ok: false, code: 'inviteUnknown' });
    for (let i = 0; i < MOST_INVITES; i++) await invite(stranger.crew, stranger.lead, 'crew');
    expect(await invite(stranger.crew, stranger.lead, 'crew')).toBeNull();
  });
  it('refuses an address somebody signs in with already, and the link still works', async () => {
    const link = (await invite(crew, lead, 'crew'))!;
    const again = { ...newcomer('once'), name: 'Other' };
    expect(await enterBy(link.token, again)).toEqual({ ok: false, code: 'emailTaken' });
    expect((await enterBy(link.token, newcomer('after'))).ok).toBe(true);
  });
});

describe('a crew', () => {
  it('keeps a lead: the last neither leaves nor becomes a hand, of two at once one stays', async () => {
    const own = await founded();
    expect(await leave(own.crew, own.lead)).toBe('lastLead');
    expect(await setRole(own.crew, own.lead, 'crew')).toBe('lastLead');
    const link = (await invite(own.crew, own.lead, 'lead'))!;
    const second = await enterBy(link.token, newcomer('second'));
    if (!second.ok) throw new Error(second.code);
    const both = await Promise.all([leave(own.crew, own.lead), leave(own.crew, second.personId)]);
    expect(both.sort()).toEqual(['lastLead', 'ok']);
  });
  it('lets a person go: signed out everywhere, address free, name on what they did', async () => {
    const own = await founded();
    const link = (await invite(own.crew, own.lead, 'crew'))!;
    const entered = await enterBy(link.token, newcomer('leaver'));
    if (!entered.ok) throw new Error(entered.code);
    const { token } = await openSession(entered.personId);
    expect((await personOf(token))?.name).toBe('New leaver');
    const stranger = await founded();
    expect(await leave(stranger.crew, entered.personId)).toBe('notFound');
    expect(await leave(own.crew, entered.personId)).toBe('ok');
    expect(await leave(own.crew, entered.personId)).toBe('notFound');
    expect(await personOf(token)).toBeNull();
    expect((await checkPassword('new-leaver@people.example', 'long-enough', '10.7.0.1')).ok).toBe(false);
    expect((await listPeople(own.crew)).map(({ name }) => name)).not.toContain('New leaver');
    const [row] = await db.select().from(people).where(eq(people.id, entered.personId));
    expect(row).toMatchObject({ name: 'New leaver', passwordHash: '' });
    expect(row!.email).not.toContain('people.example');
    const elsewhere = (await invite(stranger.crew, stranger.lead, 'crew'))!;
    expect((await enterBy(elsewhere.token, newcomer('leaver'))).ok).toBe(true);
  });
  it('lets its hands change plans when a lead says so', async () => {
    const own = await founded();
    const { token } = await openSession(own.lead);
    expect((await personOf(token))!.crewEdits).toBe(false);
    await letCrewEdit(own.crew, true);
    expect((await personOf(token))!.crewEdits).toBe(true);
  });
});

describe('another password', () => {
  it('is chosen by who knows the old one, and every other session ends', async () => {
    const own = await founded();
    const [here, there] = [await openSession(own.lead), await openSession(own.lead)];
    expect(await changePassword(own.lead, here.token, 'not-it', 'another-long-one')).toBe('wrong');
    expect(await changePassword(own.lead, here.token, 'a-long-password', 'another-long-one')).toBe('ok');
    expect(await personOf(here.token)).not.toBeNull();
    expect(await personOf(there.token)).toBeNull();
    expect((await checkPassword(own.email, 'a-long-password', '10.7.0.2')).ok).toBe(false);
    expect((await checkPassword(own.email, 'another-long-one', '10.7.0.3')).ok).toBe(true);
  });
  it('is chosen by a link, once, and every session ends', async () => {
    const own = await founded();
    const { token: session } = await openSession(own.lead);
    const asked = (await askReset(own.email.toUpperCase(), '10.7.1.1'))!;
    expect(asked.email).toBe(own.email);
    expect(await isReset(asked.token)).toBe(true);
    const both = await Promise.all([
      takeReset(asked.token, 'chosen-anew-1'),
      takeReset(asked.token, 'chosen-anew-2'),
    ]);
    expect(both.sort()).toEqual(['late', 'ok']);
    expect(await personOf(session)).toBeNull();
    expect(await takeReset(asked.token, 'chosen-once-more')).toBe('late');
  });
  it('is not sent to a stranger, nor without end, and a link ends', async () => {
    expect(await askReset('nobody@people.example', '10.7.1.2')).toBeNull();
    const own = await founded();
    const links = [];
    for (let i = 0; i <= MOST_RESETS.account; i++) links.push(await askReset(own.email, `10.7.2.${i}`));
    expect(links.filter(Boolean)).toHaveLength(MOST_RESETS.account);
    await db.update(resets).set({ expiresAt: new Date(Date.now() - 1) });
    expect(await isReset(links[0]!.token)).toBe(false);
    expect(await takeReset(links[0]!.token, 'chosen-too-late')).toBe('late');
  });
});

describe('sessions', () => {
  it('are listed with the one that asks, and ended one by one by their own person alone', async () => {
    const own = await founded();
    const here = await openSession(own.lead, 'Mozilla/5.0 Firefox/130');
    const there = await openSession(own.lead, 'Mozilla/5.0 Chrome/130');
    const all = await listSessions(own.lead, here.token);
    expect(all).toHaveLength(2);
    expect(all.filter((one) => one.here).map(({ agent }) => agent)).toEqual(['Mozilla/5.0 Firefox/130']);
    const other = all.find((one) => !one.here)!;
    const stranger = await founded();
    expect(await endSession(stranger.lead, other.id)).toBe(false);
    expect(await endSession(own.lead, 'no-id')).toBe(false);
    expect(await endSession(own.lead, other.id)).toBe(true);
    expect(await personOf(there.token)).toBeNull();
    expect(await personOf(here.token)).not.toBeNull();
  });
});

describe('the stand-in for mail', () => {
  it('keeps what it was given last, newest first', async () => {
    for (let i = 0; i < 55; i++) await sendMail({ to: 'a@b.example', subject: `n ${i}`, body: '' });
    const kept = await listMails();
    expect(kept[0]!.subject).toBe('n 54');
    expect(kept).toHaveLength(50);
  });
});
