'use client';
import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';

interface Words {
  readonly first: string;
  readonly last?: string | undefined;
}

const Context = createContext<{ words: Words | null; set: (words: Words | null) => void } | null>(null);

/** Holds the guide words of the page in view for the running head. */
export function GuideWordsProvider({ children }: { children: ReactNode }) {
  const [words, set] = useState<Words | null>(null);
  const value = useMemo(() => ({ words, set }), [words]);
  return <Context value={value}>{children}</Context>;
}

/** Sets the guide words: the first and last headword on the page, or one title. */
export function GuideWords({ first, last }: Words) {
  const set = useContext(Context)?.set;
  useEffect(() => {
    set?.({ first, last });
  }, [set, first, last]);
  return null;
}

/** The guide words as they stand in the running head. */
export function useGuideWords(): Words | null {
  return useContext(Context)?.words ?? null;
}
