/** Language, theme and units: kept in a cookie, and with the person when signed in. */
import { LANGS } from '@cimiento/core';
import { redirect } from 'react-router';
import { personOf, setPreferences } from '../../db/queries/sign-in.ts';
import { oneOf, type Preferences, SYSTEMS, THEMES } from '../preferences.ts';
import {
  formOf,
  preferencesCookie,
  preferencesOf,
  safeReturn,
  sessionToken,
  withDatabase,
} from '../server/http.server.ts';
import type { Route } from './+types/preferences';

export const loader = () => redirect('/jobs');

export async function action({ request, context }: Route.ActionArgs) {
  const form = await formOf(request, context);
  const now = preferencesOf(request);
  const next: Preferences = {
    lang: oneOf(LANGS, form.get('lang')) ?? now.lang,
    theme: oneOf(THEMES, form.get('theme')) ?? now.theme,
    system: form.has('system') ? oneOf(SYSTEMS, form.get('system')) : now.system,
  };
  const token = sessionToken(request);
  if (token)
    await withDatabase(async () => {
      const person = await personOf(token);
      if (person) await setPreferences(person.id, next);
    });
  return redirect(safeReturn(String(form.get('to') ?? '')), {
    headers: { 'Set-Cookie': preferencesCookie(request, next) },
  });
}
