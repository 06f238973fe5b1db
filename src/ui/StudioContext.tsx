'use client';
import { createContext, use, type ReactNode } from 'react';
import { setStudioClock } from '@/core/time';
import { setDecimalMark } from '@/core/units';
import { ATMOSPHERES, CONELESS, CONES, type Atmosphere, type Heat } from '@/core/vocabulary';
import type { StudioSettings } from '@/records/people';

type Shown = Pick<StudioSettings, 'zone' | 'dates' | 'decimals' | 'cones' | 'atmospheres'>;

const Context = createContext<Pick<Shown, 'cones' | 'atmospheres'>>({ cones: [], atmospheres: [] });

/** Tells the components within what the studio works with, and sets its clock and its decimal mark before any of them writes a time or a number. */
export function StudioProvider({ studio, children }: { studio: Shown; children: ReactNode }) {
  setStudioClock(studio);
  setDecimalMark(studio.decimals);
  return <Context value={studio}>{children}</Context>;
}

/** Those of a list that are in use, and the one that is chosen; all of them when that leaves none. */
function inUse<T>(all: readonly T[], used: readonly T[], chosen?: string | null): readonly T[] {
  const some = all.filter((one) => used.includes(one) || one === chosen);
  return used.length ? some : all;
}

/** What the studio fires to: the cones in use from the coolest, with the one that is chosen already, then the ways without a cone. */
export function useHeatsInUse(chosen?: string | null): readonly Heat[] {
  return [...inUse(CONES, use(Context).cones, chosen), ...CONELESS];
}

/** The atmospheres that the studio fires in, with the one that is chosen already. */
export function useAtmospheresInUse(chosen?: string | null): readonly Atmosphere[] {
  return inUse(ATMOSPHERES, use(Context).atmospheres, chosen);
}
