'use client';
import { useCallback, useRef } from 'react';
import { ulid } from 'ulid';

/**
 * Ids for writes that may be sent again: the same content has the same id until it was kept, so that an
 * answer lost on its way does not make two rows of one.
 *
 * @returns a function from what is written to its id, and one that says it was kept
 */
export function useIdempotentId(): [(what: unknown) => string, (what: unknown) => void] {
  const ids = useRef(new Map<string, string>());
  const idOf = useCallback((what: unknown) => {
    const key = JSON.stringify(what);
    const id = ids.current.get(key) ?? ulid();
    ids.current.set(key, id);
    return id;
  }, []);
  const kept = useCallback((what: unknown) => void ids.current.delete(JSON.stringify(what)), []);
  return [idOf, kept];
}
