/** What happens to a job, as server-sent events: records that came in, revisions that were saved. */

import { jobHere } from '../server/download.server.ts';
import { listenTo } from '../server/events.server.ts';
import type { Route } from './+types/events';

/** A word now and then: a page that hears none knows its line is dead, and proxies that it is not, ms. */
const BEAT = 15_000;

export async function loader({ request, params }: Route.LoaderArgs) {
  const job = await jobHere(request, params.jobId, 'job.read');
  const words = new TextEncoder();
  let end = () => {};
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (text: string) => {
        try {
          controller.enqueue(words.encode(text));
        } catch {
          end();
        }
      };
      const letGo = listenTo(job.id, (happened) =>
        send(`event: ${happened.what}\ndata: ${JSON.stringify(happened)}\n\n`),
      );
      const beat = setInterval(() => send('event: beat\ndata: {}\n\n'), BEAT);
      end = () => {
        clearInterval(beat);
        letGo();
      };
      request.signal.addEventListener('abort', () => {
        end();
        try {
          controller.close();
        } catch {
          // Closed from the other side already.
        }
      });
      send('retry: 3000\n\n');
    },
    cancel: () => end(),
  });
  return new Response(stream, {
    headers: { 'Content-Type': 'text/event-stream; charset=utf-8', 'Cache-Control': 'no-store' },
  });
}
