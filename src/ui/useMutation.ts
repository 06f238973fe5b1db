'use client';
import { useCallback, useState } from 'react';
import type { FieldError, Outcome } from '@/auth';

/** What stands in a field when it has come over the wire: dates as text. */
export type OverTheWire<T> = {
  readonly [K in keyof T]: T[K] extends Date | null ? string | Extract<T[K], null> : T[K];
};

/**
 * Runs writes one at a time and keeps what was wrong, and what somebody else wrote first. A dead network is an error
 * like any other.
 *
 * @typeParam Theirs the record that a conflict gives
 */
export function useMutation<Theirs extends object = Readonly<Record<string, unknown>>>() {
  const [isBusy, setIsBusy] = useState(false);
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const [theirs, setTheirs] = useState<OverTheWire<Theirs> | null>(null);
  const run = useCallback(async <T>(write: () => Promise<Outcome<T>>): Promise<T | undefined> => {
    setIsBusy(true);
    try {
      const outcome = await write();
      setErrors(outcome.ok ? [] : outcome.errors);
      setTheirs(outcome.ok ? null : ((outcome.theirs as OverTheWire<Theirs> | undefined) ?? null));
      return outcome.ok ? outcome.value : undefined;
    } catch {
      const message = 'The server did not answer. Nothing typed is lost; try again when the network is back.';
      setErrors([{ field: '', message }]);
      return undefined;
    } finally {
      setIsBusy(false);
    }
  }, []);
  return { run, isBusy, errors, theirs };
}
