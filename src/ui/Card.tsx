'use client';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import type { Fault } from '@/auth';
import { Faults } from './Faults';
import css from './cards.module.css';

interface Props {
  readonly title: string;
  readonly button: string;
  readonly busy: boolean;
  readonly faults: readonly Fault[];
  readonly onSave: () => void;
  readonly children: ReactNode;
}

/** A card beside a list: fields, what was wrong with the whole, and the button that saves it. */
export function Card({ title, button, busy, faults, onSave, children }: Props) {
  return (
    <form
      className={css.card}
      aria-label={title}
      onSubmit={(event) => {
        event.preventDefault();
        onSave();
      }}
    >
      <h2>{title}</h2>
      {children}
      <Faults faults={faults.filter((fault) => fault.field === '')} />
      <Button type="submit" variant="contained" disabled={busy}>
        {busy ? 'Saving' : button}
      </Button>
    </form>
  );
}
