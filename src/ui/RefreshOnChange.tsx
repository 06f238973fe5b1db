'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

/** What a server answers who may no longer see a page. */
const ENDED = [401, 404, 410];
/** A server that answers otherwise is asked again after so long, ms. */
const PAUSE = 5000;

/**
 * Keeps a page as the records are: drawn again when something was written, asked for again when its link ends, also
 * when it ended before the page was connected. A connection that breaks is made again.
 */
export function RefreshOnChange({ from }: { from: string }) {
  const router = useRouter();
  useEffect(() => {
    let source: EventSource;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let isGone = false;
    const askAgain = () => window.location.reload();
    const connectLater = () => {
      if (!isGone) timer = setTimeout(connect, PAUSE);
    };
    const connect = () => {
      source = new EventSource(from);
      source.addEventListener('changed', () => router.refresh());
      source.addEventListener('ended', () => {
        source.close();
        askAgain();
      });
      // The browser itself goes on trying, unless it was given an answer that is no stream: it does not tell which.
      source.addEventListener('error', () => {
        if (source.readyState !== EventSource.CLOSED) return;
        statusOf(from).then((status) => (ENDED.includes(status) ? askAgain() : connectLater()), connectLater);
      });
    };
    connect();
    return () => {
      isGone = true;
      clearTimeout(timer);
      source.close();
    };
  }, [from, router]);
  return null;
}

/** Status that an address answers with; nothing of its body is waited for. */
async function statusOf(address: string): Promise<number> {
  const asked = new AbortController();
  const { status } = await fetch(address, { signal: asked.signal });
  asked.abort();
  return status;
}
