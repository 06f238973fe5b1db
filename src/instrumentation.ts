import type { Instrumentation } from 'next';

/** Runs once when the server starts: begins to read the kilns' controllers. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || !process.env.DATABASE_URL) return;
  const [{ startPolling }, { settingsForAnswer }, { db, log }] = await Promise.all([
    import('@/kiln-poller'),
    import('@/records/people'),
    import('@/records/platform'),
  ]);
  await settingsForAnswer(db()).catch((error: unknown) =>
    log.error({ err: error }, 'reading the settings failed'),
  );
  startPolling(db, (error) => log.error({ err: error }, 'reading the kilns failed'));
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
