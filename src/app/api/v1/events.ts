import { db, currentRevision } from '@/records/platform';

/** How often the records are looked at, ms. */
const EVERY = 2000;

let seen: { at: number; mark: Promise<string | null> } = { at: 0, mark: Promise.resolve(null) };

/** Where the records stand, asked once for all open pages; null while the database does not answer. */
function sharedMark(now: number): Promise<string | null> {
  if (now - seen.at >= EVERY / 2) seen = { at: now, mark: currentRevision(db()).catch(() => null) };
  return seen.mark;
}

/**
 * Tells an open page, as server-sent events, when something was written ("changed") and when it may no longer be
 * shown ("ended").
 *
 * @param isOpen whether the page may still be shown
 */
export function answerEvents(request: Request, isOpen: () => Promise<boolean>): Response {
  const text = new TextEncoder();
  let timer: ReturnType<typeof setInterval> | undefined;
  const stop = () => clearInterval(timer);
  const body = new ReadableStream<Uint8Array>({
    async start(controller) {
      const send = (event: string) => controller.enqueue(text.encode(`event: ${event}\ndata: \n\n`));
      let last = await sharedMark(Date.now());
      send('open');
      const look = async () => {
        if (!(await isOpen())) {
          stop();
          send('ended');
          return controller.close();
        }
        const mark = await sharedMark(Date.now());
        if (mark === null) return;
        if (mark !== last) send('changed');
        last = mark;
      };
      // A look that fails is not the last one: the database may be back at the next.
      timer = setInterval(() => void look().catch(() => undefined), EVERY);
      request.signal.addEventListener('abort', stop);
    },
    cancel: stop,
  });
  return new Response(body, {
    headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-cache, no-transform' },
  });
}
