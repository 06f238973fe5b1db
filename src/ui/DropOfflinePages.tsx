'use client';
import { useEffect } from 'react';

/** Drops the pages that were kept for use without a network: on the sign-in page nobody is signed in. */
export function DropOfflinePages() {
  useEffect(() => {
    navigator.serviceWorker?.controller?.postMessage({ forget: true });
  }, []);
  return null;
}
