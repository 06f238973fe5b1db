'use client';
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { usePersistedState } from '../usePersistedState';

/** A piece on the bench, or one zone of it. */
export interface BenchItem {
  readonly id: string;
  readonly label: string;
  readonly photoHash: string | null;
  readonly zoneId?: string;
}

/** Whether two are the same piece, and the same zone of it. */
export function isSame(one: BenchItem, other: BenchItem): boolean {
  return one.id === other.id && one.zoneId === other.zoneId;
}

/** The page that sets what is held side by side. */
export function compareAddress(held: readonly BenchItem[]): string {
  const ids = held.map(({ id }) => id).join(',');
  const zones = held.map(({ zoneId }) => zoneId ?? '').join(',');
  return `/compare?pieces=${ids}${held.some(({ zoneId }) => zoneId) ? `&zones=${zones}` : ''}`;
}

interface Bench {
  readonly held: readonly BenchItem[];
  readonly open: boolean;
  readonly setOpen: (open: boolean) => void;
  /** Picks a piece up, or puts it back when it is on the bench. */
  readonly toggle: (piece: BenchItem) => void;
  readonly clear: () => void;
  /** Lays these on the bench instead of what is on it. */
  readonly lay: (pieces: readonly BenchItem[]) => void;
}

const Context = createContext<Bench | null>(null);
const KEY = 'jiten.bench';
const NONE: readonly BenchItem[] = [];
const MOST = 24;

/** Keeps what was picked up on this device, across pages and reloads. */
export function BenchProvider({ children }: { children: ReactNode }) {
  const [held, setHeld] = usePersistedState(KEY, NONE);
  const [open, setOpen] = useState(true);
  const change = useCallback(
    (next: (held: readonly BenchItem[]) => readonly BenchItem[]) =>
      setHeld((before) => next(before).slice(-MOST)),
    [setHeld],
  );
  const bench = useMemo<Bench>(
    () => ({
      held,
      open,
      setOpen,
      toggle: (piece) =>
        change((before) =>
          before.some((one) => isSame(one, piece))
            ? before.filter((one) => !isSame(one, piece))
            : [...before, piece],
        ),
      clear: () => change(() => []),
      lay: (pieces) => change(() => pieces),
    }),
    [held, open, change],
  );
  return <Context value={bench}>{children}</Context>;
}

/** The bench of this device. */
export function useBench(): Bench {
  const bench = useContext(Context);
  if (!bench) throw new Error('useBench outside of BenchProvider');
  return bench;
}
