import type { CDPSession } from '@playwright/test';

/** Counts the script that comes over the wire from now on; gives a function that says how much, kB. */
export async function countScript(session: CDPSession): Promise<() => number> {
  await session.send('Network.enable');
  const scripts = new Set<string>();
  let bytes = 0;
  session.on('Network.responseReceived', ({ requestId, type }) => {
    if (type === 'Script') scripts.add(requestId);
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength;
  });
  return () => bytes / 1000;
}
