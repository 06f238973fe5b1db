'use client';
import Button from '@mui/material/Button';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Hints } from '@/records/people';
import { ownTourOf } from '../help/tours';
import { HELP } from './Keys';
import css from './frame.module.css';

/** Keeps what a member saw of the hints. */
export type TellHints = (told: { seen: string } | { isOff: boolean }) => Promise<unknown>;

/** What a screen is for, the first time a member comes to it; once, and never for who turned hints off. */
export function FirstHint({ hints, tell }: { readonly hints: Hints; readonly tell: TellHints }) {
  const router = useRouter();
  const tour = ownTourOf(usePathname());
  const path = tour?.path ?? null;
  // A hint that was seen stays until one closes it or goes on to another screen.
  const [visit, setVisit] = useState({ path, seen: hints.seen });
  const leave = (to: string | null) => setVisit({ path: to, seen: [...visit.seen, visit.path ?? ''] });
  if (visit.path !== path) leave(path);
  const isFirst = path !== null && !hints.isOff && !visit.seen.includes(path);
  useEffect(() => {
    if (isFirst) void tell({ seen: path }).catch(() => undefined);
  }, [isFirst, path, tell]);
  if (!tour || !isFirst) return null;
  const close = () => leave(path);
  // Gone once it is kept: who goes on at once would lose a request under way.
  const turnOff = () =>
    tell({ isOff: true }).then(
      () => router.refresh(),
      () => undefined,
    );
  return (
    <aside className={css.hint} aria-label="Hint">
      <p>{tour.steps[0]}</p>
      <Button size="small" onClick={() => window.dispatchEvent(new Event(HELP))}>
        More
      </Button>
      <Button size="small" onClick={close}>
        Close
      </Button>
      <Button size="small" onClick={() => void turnOff()}>
        No more hints
      </Button>
    </aside>
  );
}
