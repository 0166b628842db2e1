/** Tables. A job's plan is one document; each save is a new row of revisions, never changed. */
import { LANGS, type RecordKindId, type SiteRecord } from '@cimiento/core';
import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import { bytes } from './columns/bytes.ts';
import { planColumn } from './columns/plan.ts';

const at = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });

/** What a job list shows, computed when the job is saved. */
export interface JobSummary {
  /** Bank m³. */
  readonly dig: number;
  readonly elements: number;
  /** Codes of what stops work until someone acts. */
  readonly holds: readonly string[];
  /** Of an earlier revision: the newest one's is still being worked out. */
  readonly stale?: boolean;
}

/** One value that an edit changed. Paths name elements and soils by id, not by position. */
export interface Change {
  readonly path: string;
  readonly from: unknown;
  readonly to: unknown;
}

export const crews = pgTable('crews', {
  id: uuid('id').primaryKey().defaultRandom(),
  name: text('name').notNull(),
  /** Whether those who are no leads may change plans. */
  crewEdits: boolean('crew_edits').notNull().default(false),
  createdAt: at('created_at').notNull().defaultNow(),
});

/** A lead plans, prices and lets people in; a crew's hands log what they do and see. */
export const ROLES = ['lead', 'crew'] as const;
export type Role = (typeof ROLES)[number];

export const people = pgTable('people', {
  id: uuid('id').primaryKey().defaultRandom(),
  crewId: uuid('crew_id')
    .notNull()
    .references(() => crews.id),
  email: text('email').notNull().unique(),
  name: text('name').notNull(),
  passwordHash: text('password_hash').notNull(),
  role: text('role', { enum: ROLES }).notNull().default('lead'),
  /** Since then they are of the crew no more: nobody signs in by the row, what they logged keeps its name. */
  leftAt: at('left_at'),
  /** Null until the person chooses: the browser's language until then. */
  lang: text('lang', { enum: LANGS }),
  theme: text('theme', { enum: ['light', 'night', 'sun'] })
    .notNull()
    .default('light'),
  /** Null: each job in the units it was drawn in. */
  system: text('system', { enum: ['metric', 'imperial'] }),
  createdAt: at('created_at').notNull().defaultNow(),
});

/** Links that let one more person in: each once, and not for ever. */
export const invites = pgTable('invites', {
  id: uuid('id').primaryKey().defaultRandom(),
  /** SHA-256 of the token in the link. */
  tokenHash: text('token_hash').notNull().unique(),
  crewId: uuid('crew_id')
    .notNull()
    .references(() => crews.id),
  role: text('role', { enum: ROLES }).notNull(),
  invitedBy: uuid('invited_by')
    .notNull()
    .references(() => people.id),
  createdAt: at('created_at').notNull().defaultNow(),
  expiresAt: at('expires_at').notNull(),
  /** Who came in by it; null while nobody has. */
  usedBy: uuid('used_by').references(() => people.id),
});

/** Links that let a person choose another password: each once, within the hour. */
export const resets = pgTable('resets', {
  tokenHash: text('token_hash').primaryKey(),
  personId: uuid('person_id')
    .notNull()
    .references(() => people.id, { onDelete: 'cascade' }),
  expiresAt: at('expires_at').notNull(),
});

/** What the stand-in for a mail service was given to send, newest last; it keeps the last few. */
export const mails = pgTable('mails', {
  id: bigint('id', { mode: 'number' }).primaryKey().generatedAlwaysAsIdentity(),
  to: text('to').notNull(),
  subject: text('subject').notNull(),
  body: text('body').notNull(),
  at: at('at').notNull().defaultNow(),
});

export const sessions = pgTable('sessions', {
  /** What a person calls it by when they end it. */
  id: uuid('id').notNull().unique().defaultRandom(),
  /** SHA-256 of the token in the cookie: the table alone lets nobody in. */
  tokenHash: text('token_hash').primaryKey(),
  personId: uuid('person_id')
    .notNull()
    .references(() => people.id, { onDelete: 'cascade' }),
  createdAt: at('created_at').notNull().defaultNow(),
  /** When it was last used, to the quarter of an hour. */
  seenAt: at('seen_at').notNull().defaultNow(),
  /** What the browser calls itself. */
  agent: text('agent').notNull().default(''),
  expiresAt: at('expires_at').notNull(),
});

/** Devices somebody has signed in on before: a stranger's wrong guesses do not lock them out. */
export const devices = pgTable(
  'devices',
  {
    /** SHA-256 of the token in the cookie. */
    tokenHash: text('token_hash').notNull(),
    personId: uuid('person_id')
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    usedAt: at('used_at').notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.tokenHash, table.personId] })],
);

export const attempts = pgTable(
  'attempts',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    key: text('key').notNull(),
    at: at('at').notNull().defaultNow(),
  },
  (table) => [index('attempts_key_at').on(table.key, table.at)],
);

export const jobs = pgTable(
  'jobs',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    crewId: uuid('crew_id')
      .notNull()
      .references(() => crews.id),
    name: text('name').notNull(),
    place: text('place').notNull(),
    /** Number of the newest revision. */
    revision: integer('revision').notNull().default(1),
    plan: planColumn('plan').notNull(),
    summary: jsonb('summary').$type<JobSummary>().notNull(),
    updatedAt: at('updated_at').notNull().default(sql`now()`),
    updatedBy: uuid('updated_by').references(() => people.id),
    removedAt: at('removed_at'),
  },
  (table) => [index('jobs_crew').on(table.crewId, table.updatedAt)],
);

export const revisions = pgTable(
  'revisions',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    /** Of the last save it holds, and of the first. */
    number: integer('number').notNull(),
    first: integer('first').notNull(),
    plan: planColumn('plan').notNull(),
    summary: jsonb('summary').$type<JobSummary>().notNull(),
    changes: jsonb('changes').$type<Change[]>().notNull(),
    why: text('why').notNull().default(''),
    personId: uuid('person_id').references(() => people.id),
    /** Who saved it where it came from, for what an archive brought in. */
    byName: text('by_name'),
    /** A record, a print or a release names it: it stands for itself, and no later save is taken into it. */
    named: boolean('named').notNull().default(false),
    at: at('at').notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.jobId, table.number] })],
);

/** Saves that a revision has grown over. */
export const saves = pgTable(
  'saves',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    number: integer('number').notNull(),
    at: at('at').notNull(),
    /** What leads back to its plan from the next save's (JSON Patch, RFC 6902). */
    back: jsonb('back').$type<readonly unknown[]>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.jobId, table.number] })],
);

/** Photos of a job, under the id of the record each belongs to: the picture, and a small one to look through. */
export const photos = pgTable(
  'photos',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    record: text('record').notNull(),
    crewId: uuid('crew_id')
      .notNull()
      .references(() => crews.id),
    photo: bytes('photo').notNull(),
    thumb: bytes('thumb').notNull(),
    receivedAt: at('received_at').notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.jobId, table.record] })],
);

/** What people did or saw on a job: rows are added, never changed; a correction is a row of its own. */
export const records = pgTable(
  'records',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    /** Made by whoever logged it: sent twice it is kept once. */
    id: text('id').notNull(),
    crewId: uuid('crew_id')
      .notNull()
      .references(() => crews.id),
    kind: text('kind').$type<RecordKindId>().notNull(),
    /** By their clock, and by the server's. */
    at: at('at').notNull(),
    receivedAt: at('received_at').notNull().defaultNow(),
    personId: uuid('person_id').references(() => people.id),
    byName: text('by_name').notNull(),
    element: text('element'),
    /** Of what is laid, cast or filled there; rows of before have it within their value. */
    placement: text('placement'),
    place: jsonb('place').$type<SiteRecord['place']>(),
    corrects: text('corrects'),
    after: text('after'),
    /** The plan's revision it was seen against. */
    revision: integer('revision'),
    value: jsonb('value').$type<SiteRecord['value']>(),
    /**
     * In the order they came in to their job: what a reader has seen already. Given out while the job's row is
     * held, so that none comes to light after a larger one.
     */
    seq: bigint('seq', { mode: 'number' }).notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.jobId, table.id] }),
    index('records_job_seq').on(table.jobId, table.seq),
  ],
);
