import type { Instrumentation } from 'next';

/** A pause between two pieces that are measured again, ms: people come first. */
const BETWEEN_PIECES = 50;

/** Runs once when the server starts: begins to read the kilns' controllers, and to measure old photos again. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || !process.env.DATABASE_URL) return;
  const [{ startPolling }, { settingsForAnswer }, { remeasureNext }, { db, log, store }] = await Promise.all([
    import('@/kiln-poller'),
    import('@/records/people'),
    import('@/records/pieces'),
    import('@/records/platform'),
  ]);
  await settingsForAnswer(db()).catch((error: unknown) =>
    log.error({ err: error }, 'reading the settings failed'),
  );
  startPolling(db, (error) => log.error({ err: error }, 'reading the kilns failed'));
  const remeasure = async (): Promise<void> => {
    while (await remeasureNext(db(), store()))
      await new Promise((resolve) => void setTimeout(resolve, BETWEEN_PIECES));
  };
  // What fails is tried again at the next start; nothing waits for it.
  void remeasure().catch((error: unknown) => log.error({ err: error }, 'measuring old photos again failed'));
}

/** Logs what a page, route or action could not do, with the route it happened on. */
export const onRequestError: Instrumentation.onRequestError = async (
  error,
  request,
  { routePath, routeType },
) => {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { log } = await import('@/records/platform');
  log.error({ err: error, method: request.method, route: routePath, type: routeType }, 'request failed');
};
