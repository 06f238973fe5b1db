/**
 * Hands the service worker everything this page was made of, so that it opens without a network. Does
 * nothing where there is no service worker: over plain HTTP from another machine.
 */
export async function cacheAppShell(): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  const { active } = await navigator.serviceWorker.ready;
  const parts = performance
    .getEntriesByType('resource')
    .map(({ name }) => name)
    .filter((name) => name.includes('/_next/static/') || name.includes('/api/v1/photos/'));
  active?.postMessage({ keep: [window.location.href, ...new Set(parts)] });
}
