'use client';
import { useCallback, useEffect, useState } from 'react';

/**
 * State that survives a failed save, a closed tab and a dead network: kept on this device at every change
 * until it is dropped.
 *
 * @returns the value, its setter, whether it was found kept from before, and a function that drops it
 */
export function usePersistedState<T>(
  key: string,
  initial: T,
): [T, (change: T | ((before: T) => T)) => void, boolean, () => void] {
  const [value, setValue] = useState(initial);
  const [found, setFound] = useState(false);
  useEffect(() => {
    const kept = readPersisted<T>(key);
    if (kept === null) return;
    // The device's store is only there after the first paint; server and first client render agree on `initial`.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setValue(kept);
    setFound(true);
  }, [key]);
  const set = useCallback(
    (change: T | ((before: T) => T)) => {
      setValue((before) => {
        const after = typeof change === 'function' ? (change as (before: T) => T)(before) : change;
        localStorage.setItem(key, JSON.stringify(after));
        return after;
      });
    },
    [key],
  );
  const drop = useCallback(() => {
    localStorage.removeItem(key);
    setFound(false);
  }, [key]);
  return [value, set, found, drop];
}

/** What is kept under a key on this device, or null. */
export function readPersisted<T>(key: string): T | null {
  try {
    const text = localStorage.getItem(key);
    return text === null ? null : (JSON.parse(text) as T);
  } catch {
    return null;
  }
}
