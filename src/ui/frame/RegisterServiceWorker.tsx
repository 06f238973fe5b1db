'use client';
import { useEffect } from 'react';

/** Sets the service worker up, where the browser has one, so that the running opening opens without a network. */
export function RegisterServiceWorker() {
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return;
    // Refused in private windows: then pages need the network, as they did.
    void begin().catch(() => undefined);
  }, []);
  return null;
}

async function begin(): Promise<void> {
  await navigator.serviceWorker.register('/sw.js');
  const { active } = await navigator.serviceWorker.ready;
  // A page that was on its way while the worker began is not yet the worker's.
  if (!navigator.serviceWorker.controller) active?.postMessage({ claim: true });
}
