'use client';
import { useCallback, useState } from 'react';
import type { Fault, Outcome } from '@/auth';

/** Runs writes one at a time and keeps what was wrong and what somebody else wrote first; a dead network is a fault like any other. */
export function useAct() {
  const [busy, setBusy] = useState(false);
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const [theirs, setTheirs] = useState<Readonly<Record<string, unknown>> | null>(null);
  const act = useCallback(async <T>(write: () => Promise<Outcome<T>>): Promise<T | undefined> => {
    setBusy(true);
    try {
      const outcome = await write();
      setFaults(outcome.ok ? [] : outcome.faults);
      setTheirs(outcome.ok ? null : (outcome.theirs ?? null));
      return outcome.ok ? outcome.value : undefined;
    } catch {
      setFaults([
        {
          field: '',
          message: 'The server did not answer. Nothing typed is lost; try again when the network is back.',
        },
      ]);
      return undefined;
    } finally {
      setBusy(false);
    }
  }, []);
  return { act, busy, faults, theirs };
}
