'use client';
import { OfflinePin } from '@mui/icons-material';
import { useEffect, useState } from 'react';

/** Keeps this page on the device, again whenever the network is back, and says once it opens without one. */
export function OpensOffline() {
  const [isKept, setKept] = useState(false);
  useEffect(() => {
    const keep = () => void keepAppShell().then((all) => setKept((was) => was || all));
    keep();
    window.addEventListener('online', keep);
    return () => window.removeEventListener('online', keep);
  }, []);
  if (!isKept) return null;
  return (
    <OfflinePin
      fontSize="small"
      color="success"
      titleAccess="This page is kept on this device: it opens without a network"
    />
  );
}

/**
 * Hands the service worker everything this page was made of, so that it opens without a network.
 *
 * @returns Whether all of it is kept; false where there is no service worker: over plain HTTP from another
 * machine.
 */
async function keepAppShell(): Promise<boolean> {
  if (!('serviceWorker' in navigator)) return false;
  const { active } = await navigator.serviceWorker.ready;
  if (!active) return false;
  const parts = performance
    .getEntriesByType('resource')
    .map(({ name }) => name)
    .filter((name) => name.includes('/_next/static/') || name.includes('/api/v1/photos/'));
  const { port1, port2 } = new MessageChannel();
  const answer = new Promise<boolean>((done) => {
    port1.onmessage = ({ data }) => done(data === true);
  });
  active.postMessage({ keep: [window.location.href, ...new Set(parts)] }, [port2]);
  return answer;
}
