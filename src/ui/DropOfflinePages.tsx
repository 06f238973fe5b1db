'use client';
import { useEffect } from 'react';

/**
 * Drops the pages and photos that were kept for use without a network: on the sign-in page nobody is signed in. What
 * was typed and not sent yet stays; it is its member's, and sent under that member only.
 */
export function DropOfflinePages() {
  useEffect(() => {
    if (!('caches' in window)) return;
    void caches
      .keys()
      .then((names) =>
        Promise.all(
          names.filter((name) => /^jiten-(pages|photos)/.test(name)).map((name) => caches.delete(name)),
        ),
      );
  }, []);
  return null;
}
