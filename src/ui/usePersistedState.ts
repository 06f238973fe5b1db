'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { dropFromDevice, keepOnDevice, readFromDevice, type Slot } from './deviceStorage';
import { useMemberId } from './MemberContext';

/**
 * State that survives a failed save, a closed tab and a dead network: kept on this device for the member at every
 * change until it is dropped.
 *
 * @param version raised when the shape of the state changes; see {@link Slot}
 * @returns the value, its setter, whether it was found kept from before, and a function that drops it
 */
export function usePersistedState<T>(
  key: string,
  initial: T,
  version = 1,
): [T, (change: T | ((before: T) => T)) => void, boolean, () => void] {
  const owner = useMemberId();
  const slot = useMemo<Slot>(() => ({ owner, key, version }), [owner, key, version]);
  const [value, setValue] = useState(initial);
  const [found, setFound] = useState(false);
  useEffect(() => {
    const kept = readFromDevice<T>(slot);
    if (kept === null) return;
    // The device's store is only there after the first paint; server and first client render agree on `initial`.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setValue(kept);
    setFound(true);
  }, [slot]);
  const set = useCallback(
    (change: T | ((before: T) => T)) => {
      setValue((before) => {
        const after = typeof change === 'function' ? (change as (before: T) => T)(before) : change;
        keepOnDevice(slot, after);
        return after;
      });
    },
    [slot],
  );
  const drop = useCallback(() => {
    dropFromDevice(slot);
    setFound(false);
  }, [slot]);
  return [value, set, found, drop];
}
