'use client';
import { useEffect, useState } from 'react';
import type { NewEntry } from '@/records/dictionary';
import css from './share.module.css';

/** How long one entry stands, ms. */
const STANDS = 9000;

/** Walks through what is new, one entry a screen; arrows go by hand, a tap stops it. */
export function Kiosk({ entries, at }: { entries: readonly NewEntry[]; at: string }) {
  const [place, setPlace] = useState(0);
  const [walks, setWalks] = useState(true);
  useEffect(() => {
    if (!walks) return;
    const timer = setInterval(() => setPlace((before) => before + 1), STANDS);
    return () => clearInterval(timer);
  }, [walks]);
  useEffect(() => {
    const onKey = ({ key }: KeyboardEvent) => {
      if (key === 'ArrowRight') setPlace((before) => before + 1);
      if (key === 'ArrowLeft') setPlace((before) => before + entries.length - 1);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [entries.length]);
  const entry = entries[place % Math.max(1, entries.length)];
  if (!entry) return <p className={css.page}>No tile on this wall yet.</p>;
  return (
    <main className={css.kiosk}>
      <a href={`${at}/entry/${entry.headwordId}`} className={css.shown}>
        {entry.photoHash ? (
          <img src={`${at}/photos/${entry.photoHash}?width=720`} alt={entry.headword} />
        ) : (
          <span style={{ background: entry.colour ?? undefined }} />
        )}
      </a>
      <div className={css.caption}>
        <div>
          <h1>{entry.headword}</h1>
          <p>on {entry.ground}</p>
        </div>
        <p>
          {(place % entries.length) + 1} of {entries.length}
        </p>
        <button type="button" onClick={() => setWalks(!walks)}>
          {walks ? 'Stop' : 'Continue'}
        </button>
        <a href={at}>The whole wall</a>
      </div>
    </main>
  );
}
