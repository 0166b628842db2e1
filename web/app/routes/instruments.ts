/**
 * The simulated instruments of a night: a level logger, a rain gauge, a pump's meter. Asked with what is
 * expected of it, one answers with all it read; asked as a stream it tells its readings one after another,
 * a night in a few seconds. Made up, the same for everyone; real ones would answer the same way.
 */
import { INSTRUMENTS, type Instrument, instrumentReadings } from '@cimiento/simulators';
import { data } from 'react-router';
import { allow } from '../server/can.server.ts';
import { requirePersonHere } from '../server/http.server.ts';
import type { Route } from './+types/instruments';

const LONGEST = 200;
/** Readings of four days; the least and the most one may be. */
const MOST_READINGS = 600;
const WILD = 10_000;
/** Between two readings of a stream, ms. */
const PACE = 40;

const isInstrument = (kind: string | null): kind is Instrument => INSTRUMENTS.some((one) => one === kind);

/** What is asked of which instrument. @throws 400 */
function asked(url: string) {
  const query = new URL(url).searchParams;
  const kind = query.get('kind');
  const place = query.get('place') ?? '';
  const expected = (query.get('expected') ?? '').split(',').map(Number);
  const good =
    isInstrument(kind) &&
    place !== '' &&
    place.length <= LONGEST &&
    expected.length >= 2 &&
    expected.length <= MOST_READINGS &&
    expected.every((value) => Math.abs(value) <= WILD);
  if (!good) throw data({ code: 'badRequest' }, { status: 400 });
  return { kind, place, expected };
}

export async function loader({ request }: Route.LoaderArgs) {
  allow(await requirePersonHere(request), 'instrument.read');
  const readings = instrumentReadings(asked(request.url));
  if (!request.headers.get('accept')?.includes('text/event-stream')) return Response.json({ readings });
  const words = new TextEncoder();
  let timer: ReturnType<typeof setInterval> | undefined;
  const stop = () => clearInterval(timer);
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      let i = 0;
      timer = setInterval(() => {
        const reading = readings[i++];
        if (reading) controller.enqueue(words.encode(`data: ${JSON.stringify(reading)}\n\n`));
        else {
          controller.enqueue(words.encode('event: end\ndata: {}\n\n'));
          stop();
          controller.close();
        }
      }, PACE);
      request.signal.addEventListener('abort', stop);
    },
    cancel: stop,
  });
  return new Response(stream, {
    headers: { 'Content-Type': 'text/event-stream; charset=utf-8', 'Cache-Control': 'no-store' },
  });
}
