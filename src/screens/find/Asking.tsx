'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import {
  createContext,
  use,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useTransition,
  type ReactNode,
} from 'react';
import css from './find.module.css';
import { findAddress, type Asked } from './query';

type Change = Partial<Asked>;

const Context = createContext<{ readonly ask: (change: Change) => void; readonly underWay: boolean }>({
  ask: () => undefined,
  underWay: false,
});

/**
 * Changes what is asked for. An answer may still be on its way: what is tapped next goes on from what was asked
 * last, not from what the page shows.
 */
export function Asking({ asked, children }: { asked: Asked; children: ReactNode }) {
  const router = useRouter();
  const [underWay, start] = useTransition();
  const latest = useRef(asked);
  useEffect(() => {
    if (!underWay) latest.current = asked;
  }, [asked, underWay]);
  const ask = useCallback(
    (change: Change) => {
      latest.current = { ...latest.current, ...change };
      const address = findAddress(latest.current);
      start(() => router.replace(address, { scroll: false }));
    },
    [router],
  );
  const value = useMemo(() => ({ ask, underWay }), [ask, underWay]);
  return <Context value={value}>{children}</Context>;
}

/** How to ask for something else, and whether an answer is on its way. */
export function useAsking() {
  return use(Context);
}

/** One thing that is asked for, or could be. */
export function Chip({
  asked,
  change,
  on,
  children,
}: {
  asked: Asked;
  change: Change;
  on: boolean;
  children: ReactNode;
}) {
  const { ask } = useAsking();
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
