'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import type { PiecePage } from '@/records/pieces';
import { WordField } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { useMutation } from '@/ui/useMutation';
import { addToSet, takeOutOfSet } from '../actions';
import css from './piece.module.css';

/** The pieces that a piece belongs together with: lid and jar, lamp and saucer. */
export function SetPanel({
  piece,
  mayChange,
}: {
  readonly piece: Pick<PiecePage, 'id' | 'label' | 'set' | 'form'>;
  readonly mayChange: boolean;
}) {
  const [isOpen, setIsOpen] = useState(false);
  const [label, setLabel] = useState('');
  const { run, isBusy, errors } = useMutation();
  if (piece.set.length === 0 && !mayChange) return null;
  const add = async () => {
    if ((await run(() => addToSet({ pieceId: piece.id, label }))) === undefined) return;
    setLabel('');
    setIsOpen(false);
  };
  return (
    <section className={css.ware} aria-label="Set">
      <div className={css.wareHead}>
        {piece.set.length > 0 && (
          <span>
            Set with{' '}
            {piece.set.map((one, i) => (
              <span key={one.id}>
                {i > 0 && ', '}
                <Link href={`/pieces/${one.label}`} className="figures">
                  {one.label}
                </Link>{' '}
                ({one.form})
              </span>
            ))}
          </span>
        )}
        {mayChange && (
          <Button size="small" onClick={() => setIsOpen(!isOpen)} aria-expanded={isOpen}>
            {piece.set.length > 0 ? 'Change the set' : 'Make it part of a set'}
          </Button>
        )}
      </div>
      {isOpen && (
        <div className={css.setForm}>
          <WordField
            label="Number of the other piece"
            value={label}
            onChange={setLabel}
            error={errors[0]?.message}
            onKeyDown={(event) => event.key === 'Enter' && void add()}
          />
          <Button variant="contained" disabled={isBusy} onClick={() => void add()}>
            Add to the set
          </Button>
          <LinkButton href={`/pieces/new?with=${piece.label}`}>Log a new piece of the set</LinkButton>
          {piece.set.length > 0 && (
            <Button disabled={isBusy} onClick={() => void run(() => takeOutOfSet({ pieceId: piece.id }))}>
              Take {piece.label} out
            </Button>
          )}
        </div>
      )}
    </section>
  );
}
