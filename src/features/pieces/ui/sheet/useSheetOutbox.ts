'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { FieldError } from '@/auth';
import { useMemberId } from '@/ui/MemberContext';
import { usePersistedState } from '@/ui/usePersistedState';
import { saveSheet } from '../../actions';
import {
  firstChunk,
  waitingRows,
  type SavedRow,
  type SheetOrigin,
  type WaitingRow,
} from '../../model/sheet/outbox';
import type { ShownRow } from '../../model/sheet/readRow';
import type { Row } from '../../model/sheet/rows';

/** While the server does not answer it is asked again after so long, ms. */
const PAUSE = 10_000;

interface Options {
  /** Rows that the server refused come back to the sheet. */
  readonly onRefused: (rows: readonly Row[]) => void;
}

/** Sends saved rows in their order, as soon as there is a network; what it gave back stays until it was written under the feet. */
export function useSheetOutbox({ onRefused }: Options) {
  const memberId = useMemberId();
  const [waiting, setWaiting] = usePersistedState<readonly WaitingRow[]>('jiten.sheet.outbox', []);
  const [saved, setSaved] = usePersistedState<readonly SavedRow[]>('jiten.sheet.saved', []);
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const [isDown, setIsDown] = useState(false);
  const isSending = useRef(false);

  const sendFirst = useCallback(async () => {
    const chunk = firstChunk(waiting);
    if (chunk.length === 0 || isSending.current) return;
    isSending.current = true;
    const sent = new Set(chunk.map(({ row }) => row.id));
    try {
      const rows = chunk.map(({ ids, draft, makerId }) => ({ ids: [...ids], draft, makerId }));
      const { series, orderId = null } = chunk[0]!;
      const outcome = await saveSheet({ memberId, rows, series, orderId });
      setIsDown(false);
      setErrors(outcome.ok ? [] : outcome.errors);
      if (outcome.ok) {
        const made = chunk.map(({ row, draft }, i): SavedRow => ({
          ...{ rowId: row.id, ownNumber: draft.ownNumber, pieces: outcome.value[i]! },
        }));
        setSaved((before) => [...before.filter(({ rowId }) => !sent.has(rowId)), ...made]);
      } else if (outcome.code === 'signed out') return setIsDown(true);
      else onRefused(chunk.map(({ row }) => row));
      setWaiting((before) => before.filter(({ row }) => !sent.has(row.id)));
    } catch {
      setIsDown(true);
    } finally {
      isSending.current = false;
    }
  }, [waiting, memberId, setWaiting, setSaved, onRefused]);

  // Each answer changes what waits, and so sends the next.
  const send = useRef(sendFirst);
  useEffect(() => {
    send.current = sendFirst;
  }, [sendFirst]);
  useEffect(() => {
    void send.current();
  }, [waiting]);
  useEffect(() => {
    const again = () => void send.current();
    const timer = setInterval(again, PAUSE);
    window.addEventListener('online', again);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', again);
    };
  }, []);

  return {
    ...{ waiting, saved, errors, isDown },
    put: (rows: readonly ShownRow[], origin: SheetOrigin) => {
      const next = waitingRows(rows, origin);
      setErrors([]);
      setWaiting((before) => [...before, ...next]);
    },
    /** The numbers are written under the feet. */
    clearSaved: () => setSaved([]),
  };
}
