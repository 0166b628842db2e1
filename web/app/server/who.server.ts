/** Who comes in, as a form says it: a name, an address, a password. */
import { wholeText } from '@cimiento/core';
import { SHORTEST_PASSWORD } from '../../db/queries/secrets.ts';
import { fieldOf } from './body.server.ts';

export type WhoField = 'name' | 'email' | 'password';

/** Whether a text is an e-mail address, as far as anybody can tell without writing to it. */
export const isAddress = (text: string): boolean => /^[^@\s]+@[^@\s]+$/.test(text);

/** What was typed, and what is wrong with it by field. */
export function readWho(form: FormData) {
  const values = {
    name: wholeText(fieldOf(form, 'name'), 80),
    email: wholeText(fieldOf(form, 'email'), 200),
  };
  const password = String(form.get('password') ?? '');
  const problems: Partial<Record<WhoField, string>> = {};
  if (!values.name) problems.name = 'missing';
  if (!isAddress(values.email)) problems.email = 'email';
  if (password.length < SHORTEST_PASSWORD) problems.password = 'short';
  return { values, password, problems };
}
