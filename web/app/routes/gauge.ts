/** The simulated density gauge: reads one place of a lift. Made up, the same for everyone. */
import { MEASURES } from '@cimiento/core';
import { gaugeReading } from '@cimiento/simulators';
import { data } from 'react-router';
import { allow } from '../server/can.server.ts';
import { requirePersonHere } from '../server/http.server.ts';
import type { Route } from './+types/gauge';

const LONGEST = 200;

/** A number of the query within what may be typed there. @throws 400 */
function number(query: URLSearchParams, name: string, { min, max }: { min: number; max: number }): number {
  const value = Number(query.get(name) ?? Number.NaN);
  if (!(value >= min && value <= max)) throw data({ code: 'badRequest' }, { status: 400 });
  return value;
}

export async function loader({ request }: Route.LoaderArgs) {
  allow(await requirePersonHere(request), 'gauge.read');
  const query = new URL(request.url).searchParams;
  const place = query.get('place') ?? '';
  if (place === '' || place.length > LONGEST) throw data({ code: 'badRequest' }, { status: 400 });
  const reading = gaugeReading({
    place,
    maximum: number(query, 'maximum', MEASURES.dryDensity),
    optimum: number(query, 'optimum', MEASURES.moisture),
  });
  if (reading === null) throw data({ code: 'silent' }, { status: 503 });
  return Response.json(reading);
}
