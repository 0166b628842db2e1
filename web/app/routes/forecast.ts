/** The simulated forecast: rain expected hour by hour. Made up, the same for everyone. */
import { rainForecast } from '@cimiento/simulators';
import { data } from 'react-router';
import { allow } from '../server/can.server.ts';
import { requirePersonHere } from '../server/http.server.ts';
import type { Route } from './+types/forecast';

const MOST_HOURS = 96;

export async function loader({ request }: Route.LoaderArgs) {
  allow(await requirePersonHere(request), 'weather.read');
  const query = new URL(request.url).searchParams;
  const from = query.get('from') ?? '';
  const hours = Number(query.get('hours') ?? 24);
  const known = /^\d{4}-\d{2}-\d{2}T\d{2}(:\d{2})?$/.test(from);
  if (!known || !Number.isInteger(hours) || hours < 1 || hours > MOST_HOURS)
    throw data({ code: 'badRequest' }, { status: 400 });
  const rain = rainForecast(from, hours);
  if (rain.length === 0) throw data({ code: 'badRequest' }, { status: 400 });
  return Response.json({ from, rain });
}
