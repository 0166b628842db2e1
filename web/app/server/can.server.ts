/** Who may do what: the one place that says so. Every loader and action asks here. */
import { data } from 'react-router';
import type { Person } from '../../db/queries/sign-in.ts';

/** What can be done, and whether it is done to a job. */
const ACTIONS = {
  'jobs.list': 'crew',
  'jobs.create': 'crew',
  'archive.read': 'crew',
  'archive.take': 'crew',
  'weather.read': 'crew',
  'gauge.read': 'crew',
  'instrument.read': 'crew',
  'job.read': 'job',
  'job.save': 'job',
  'job.remove': 'job',
  'job.bringBack': 'job',
  'records.read': 'job',
  'records.add': 'job',
} as const;
export type Action = keyof typeof ACTIONS;

/** A job as far as the question goes. */
export interface Asked {
  readonly crewId: string;
}

/**
 * Whether a person may do something. Today everybody of a crew may do everything with its jobs, and
 * nothing with those of another crew; what only some may do comes here.
 * @param job the job it is done to; for what is done to the crew none
 */
export function can(person: Pick<Person, 'crewId'>, action: Action, job: Asked | null = null): boolean {
  if (ACTIONS[action] === 'crew') return true;
  return job !== null && job.crewId === person.crewId;
}

/**
 * The same, with the answer of the web: what is not one's own is not there.
 * @throws 404
 */
export function allow(person: Pick<Person, 'crewId'>, action: Action, job: Asked | null = null): void {
  if (!can(person, action, job)) throw data({ code: 'notFound' }, { status: 404 });
}
