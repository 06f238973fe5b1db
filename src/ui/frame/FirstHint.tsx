'use client';
import Button from '@mui/material/Button';
import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Hints } from '@/records/people';
import { ownTourOf } from '../help/tours';
import { HELP } from './Keys';
import css from './frame.module.css';

/** Keeps what a member saw of the hints. */
export type TellHints = (told: { seen: string } | { isOff: boolean }) => Promise<unknown>;

/** What a screen is for, the first time a member comes to it; once, and never for who turned hints off. */
export function FirstHint({ hints, tell }: { readonly hints: Hints; readonly tell: TellHints }) {
  const tour = ownTourOf(usePathname());
  // Those one has gone on from, or closed, since the page was loaded.
  const [closed, setClosed] = useState<readonly string[]>([]);
  const path = tour?.path;
  const isFirst = path !== undefined && !hints.isOff && !hints.seen.includes(path);
  useEffect(() => {
    if (isFirst) void tell({ seen: path }).catch(() => undefined);
  }, [isFirst, path, tell]);
  useEffect(
    () => () => {
      if (path !== undefined) setClosed((all) => [...all, path]);
    },
    [path],
  );
  if (!tour || !isFirst || closed.includes(tour.path)) return null;
  const close = () => setClosed((all) => [...all, tour.path]);
  return (
    <aside className={css.hint} aria-label="Hint">
      <p>{tour.steps[0]}</p>
      <Button size="small" onClick={() => window.dispatchEvent(new Event(HELP))}>
        More
      </Button>
      <Button size="small" onClick={close}>
        Close
      </Button>
      <Button
        size="small"
        onClick={() => {
          close();
          void tell({ isOff: true });
        }}
      >
        No more hints
      </Button>
    </aside>
  );
}
