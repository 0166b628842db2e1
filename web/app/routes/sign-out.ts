import { redirect } from 'react-router';
import { closeSession } from '../../db/queries/sign-in.ts';
import { sameOrigin, sessionCookie, sessionToken, withDatabase } from '../server/http.server.ts';
import type { Route } from './+types/sign-out';

export const loader = () => redirect('/jobs');

export async function action({ request }: Route.ActionArgs) {
  sameOrigin(request);
  const token = sessionToken(request);
  if (token) await withDatabase(() => closeSession(token));
  return redirect('/sign-in', { headers: { 'Set-Cookie': sessionCookie(request, '', 0) } });
}
