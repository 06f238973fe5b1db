'use client';
import { usePathname, useRouter, useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useRef, useTransition } from 'react';

/**
 * What the address asks for, and a way to ask for something else. An answer may still be on its way: what is
 * changed next goes on from what was asked last, not from what the page shows.
 */
export function useAddress() {
  const router = useRouter();
  const path = usePathname();
  const params = useSearchParams();
  const [underWay, start] = useTransition();
  const latest = useRef(params.toString());
  useEffect(() => {
    if (!underWay) latest.current = params.toString();
  }, [params, underWay]);
  /** Changes the parameters and goes there, in place of where it was. */
  const change = useCallback(
    (edit: (next: URLSearchParams) => void) => {
      const next = new URLSearchParams(latest.current);
      edit(next);
      latest.current = next.toString();
      start(() => router.replace(`${path}${next.size ? `?${next}` : ''}`, { scroll: false }));
    },
    [router, path],
  );
  return { params, change, underWay };
}

/** Sets what has a value, takes away what has none. */
export function setAll(
  params: URLSearchParams,
  changes: Readonly<Record<string, string | null | undefined>>,
): void {
  for (const [key, value] of Object.entries(changes)) {
    if (value) params.set(key, value);
    else params.delete(key);
  }
}
