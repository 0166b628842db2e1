/** The simulated weather feed: daily means and rain up to a day. Made up, the same for everyone. */
import { weatherFeed } from '@cimiento/simulators';
import { data } from 'react-router';
import { allow } from '../server/can.server.ts';
import { requirePersonHere } from '../server/http.server.ts';
import type { Route } from './+types/weather';

const MOST_DAYS = 400;
const DAY = 86_400_000;

export async function loader({ request }: Route.LoaderArgs) {
  allow(await requirePersonHere(request), 'weather.read');
  const query = new URL(request.url).searchParams;
  const to = query.get('to') ?? '';
  const days = Number(query.get('days') ?? 1);
  const end = /^\d{4}-\d{2}-\d{2}$/.test(to) ? Date.parse(`${to}T00:00:00Z`) : Number.NaN;
  if (!Number.isFinite(end) || !Number.isInteger(days) || days < 1 || days > MOST_DAYS)
    throw data({ code: 'badRequest' }, { status: 400 });
  const from = new Date(end - (days - 1) * DAY).toISOString().slice(0, 10);
  return Response.json({ days: weatherFeed(from, days) });
}
