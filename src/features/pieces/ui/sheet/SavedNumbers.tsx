'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useEffect, useRef } from 'react';
import { Acts } from '@/ui/kit';
import { labelAddress } from '../../model/labelAddress';
import css from './sheet.module.css';
import type { useSheetOutbox } from './useSheetOutbox';

/** The numbers that the rows were given, to be written under the feet; they stay until somebody says that they are. */
export function SavedNumbers({
  of: { saved, clearSaved },
}: {
  readonly of: ReturnType<typeof useSheetOutbox>;
}) {
  const box = useRef<HTMLElement>(null);
  const count = saved.length;
  useEffect(() => {
    if (count > 0) box.current?.scrollIntoView({ block: 'nearest' });
  }, [count]);
  if (count === 0) return null;
  const pieces = saved.flatMap((row) => row.pieces);
  return (
    <section ref={box} className={css.saved} aria-label="Saved">
      <p role="status">
        {pieces.length === 1 ? 'One piece is saved' : `${pieces.length} pieces are saved`}. Write{' '}
        {pieces.length === 1 ? 'its number' : 'their numbers'} under the foot:
      </p>
      <ol className={css.numbers}>
        {saved.map(({ rowId, ownNumber, pieces: own }) => (
          <li key={rowId}>
            {ownNumber && <span className="quiet">{ownNumber} </span>}
            {own.map(({ label }) => (
              <Link key={label} href={`/pieces/${label}`}>
                {label}
              </Link>
            ))}
          </li>
        ))}
      </ol>
      <Acts>
        <Button component="a" href={labelAddress(pieces)} target="_blank">
          Print {pieces.length === 1 ? 'label' : 'labels'}
        </Button>
        <Button variant="text" onClick={clearSaved}>
          They are written
        </Button>
      </Acts>
    </section>
  );
}
