'use client';
import { useEffect, useState, type ComponentType, type ReactNode } from 'react';

/** How long after a page works what it may need later is fetched, ms: also for a device that then loses its network. */
const LATER = 4000;

/**
 * A part of a page whose script is loaded when it is first shown, or once the page has worked for a while.
 *
 * @param load imports the part
 * @param meanwhile stands in its place until it is there, as large as it will be
 */
export function lazily<P extends object>(
  load: () => Promise<ComponentType<P>>,
  meanwhile: ReactNode = null,
): ComponentType<P> {
  let part: Promise<ComponentType<P>> | null = null;
  const get = () => {
    part ??= load().catch((error: unknown) => {
      // Asked for again when it is shown again.
      part = null;
      throw error;
    });
    return part;
  };
  if (typeof window !== 'undefined') setTimeout(() => void get().catch(() => undefined), LATER);
  return function Lazy(props: P) {
    const [Part, setPart] = useState<ComponentType<P> | null>(null);
    const [hasFailed, setHasFailed] = useState(false);
    useEffect(() => {
      let isGone = false;
      get().then(
        (loaded) => !isGone && setPart(() => loaded),
        () => !isGone && setHasFailed(true),
      );
      return () => {
        isGone = true;
      };
    }, []);
    if (hasFailed) return <p role="alert">This part is not on this device yet; it needs the network once.</p>;
    return Part ? <Part {...props} /> : meanwhile;
  };
}
