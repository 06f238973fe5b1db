'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

/**
 * Keeps a page as the records are: drawn again when something was written, asked for again when its link ends. A
 * connection that breaks is made again by the browser.
 */
export function RefreshOnChange({ from }: { from: string }) {
  const router = useRouter();
  useEffect(() => {
    const source = new EventSource(from);
    source.addEventListener('changed', () => router.refresh());
    source.addEventListener('ended', () => {
      source.close();
      window.location.reload();
    });
    return () => source.close();
  }, [from, router]);
  return null;
}
