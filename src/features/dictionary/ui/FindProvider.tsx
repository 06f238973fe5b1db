'use client';
import Link from 'next/link';
import { createContext, use, useCallback, useMemo, type ReactNode } from 'react';
import { setAll, useAddress } from '@/ui/useAddress';
import css from './find.module.css';
import { findAddress, type FindQuery } from '../model/findQuery';

type Change = Partial<FindQuery>;

const Context = createContext<{ readonly ask: (change: Change) => void; readonly underWay: boolean }>({
  ask: () => undefined,
  underWay: false,
});

/** Lets everything within change what is asked for. */
export function FindProvider({ children }: { children: ReactNode }) {
  const { change, underWay } = useAddress();
  const ask = useCallback((changes: Change) => change((next) => setAll(next, changes)), [change]);
  const value = useMemo(() => ({ ask, underWay }), [ask, underWay]);
  return <Context value={value}>{children}</Context>;
}

/** How to ask for something else, and whether an answer is on its way. */
export function useFind() {
  return use(Context);
}

/** One thing that is asked for, or could be. */
export function Chip({
  asked,
  change,
  on,
  children,
}: {
  asked: FindQuery;
  change: Change;
  on: boolean;
  children: ReactNode;
}) {
  const { ask } = useFind();
  return (
    <Link
      href={findAddress(asked, change)}
      replace
      scroll={false}
      className={css.chip}
      aria-current={on || undefined}
      onNavigate={(event) => {
        event.preventDefault();
        ask(change);
      }}
    >
      {children}
    </Link>
  );
}
