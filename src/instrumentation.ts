/** Runs once when the server starts: begins to read the kilns' controllers. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || !process.env.DATABASE_URL) return;
  const [{ startPolling }, { db }] = await Promise.all([
    import('@/kiln-poller'),
    import('@/records/platform/db'),
  ]);
  startPolling(db, (error) => console.error('Reading the kilns failed:', error));
}
