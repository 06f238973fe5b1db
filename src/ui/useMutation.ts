'use client';
import { useCallback, useState } from 'react';
import type { FieldError, Outcome } from '@/auth';

/** Runs writes one at a time and keeps what was wrong and what somebody else wrote first; a dead network is an error like any other. */
export function useMutation() {
  const [isBusy, setBusy] = useState(false);
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const [theirs, setTheirs] = useState<Readonly<Record<string, unknown>> | null>(null);
  const run = useCallback(async <T>(write: () => Promise<Outcome<T>>): Promise<T | undefined> => {
    setBusy(true);
    try {
      const outcome = await write();
      setErrors(outcome.ok ? [] : outcome.errors);
      setTheirs(outcome.ok ? null : (outcome.theirs ?? null));
      return outcome.ok ? outcome.value : undefined;
    } catch {
      setErrors([
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
  return { run: run, isBusy: isBusy, errors: errors, theirs };
}
