/** Who may do what: the one place that says so. Every loader and action asks here. */
import { data } from 'react-router';
import type { Person } from '../../db/queries/sign-in.ts';

/**
 * What can be done: to the crew or to one of its jobs, and by whom of it. `edits`: by a crew's hands too where
 * their lead lets them; of the person's own nobody else is asked.
 */
const ACTIONS = {
  'jobs.list': { of: 'crew', by: 'crew' },
  'jobs.create': { of: 'crew', by: 'edits' },
  'archive.read': { of: 'crew', by: 'lead' },
  'archive.take': { of: 'crew', by: 'lead' },
  'people.list': { of: 'crew', by: 'crew' },
  'people.change': { of: 'crew', by: 'lead' },
  'self.change': { of: 'crew', by: 'crew' },
  'weather.read': { of: 'crew', by: 'crew' },
  'gauge.read': { of: 'crew', by: 'crew' },
  'instrument.read': { of: 'crew', by: 'crew' },
  'job.read': { of: 'job', by: 'crew' },
  'job.save': { of: 'job', by: 'edits' },
  'job.remove': { of: 'job', by: 'lead' },
  'job.bringBack': { of: 'job', by: 'lead' },
  'records.read': { of: 'job', by: 'crew' },
  'records.add': { of: 'job', by: 'crew' },
} as const satisfies Record<string, { readonly of: 'crew' | 'job'; readonly by: 'crew' | 'edits' | 'lead' }>;
export type Action = keyof typeof ACTIONS;

/** A job as far as the question goes. */
export interface Asked {
  readonly crewId: string;
}
/** A person as far as it goes. */
export type Asking = Pick<Person, 'crewId' | 'role' | 'crewEdits'>;

/**
 * Whether a person may do something: never to another crew's job, and what is their lead's only if they are one.
 * @param job the job it is done to; for what is done to the crew none
 */
export function can(person: Asking, action: Action, job: Asked | null = null): boolean {
  const { of, by } = ACTIONS[action];
  if (of === 'job' && job?.crewId !== person.crewId) return false;
  if (by === 'crew' || person.role === 'lead') return true;
  return by === 'edits' && person.crewEdits;
}

/**
 * The same, with the answer of the web: what is not one's own is not there, what is one's crew's and not for
 * one to do is said.
 * @throws 404, or 403
 */
export function allow(person: Asking, action: Action, job: Asked | null = null): void {
  if (can(person, action, job)) return;
  const there = ACTIONS[action].of === 'crew' || job?.crewId === person.crewId;
  throw there ? data({ code: 'leadOnly' }, { status: 403 }) : data({ code: 'notFound' }, { status: 404 });
}
