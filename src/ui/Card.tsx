'use client';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import type { FieldError } from '@/auth';
import { FormErrors } from './FormErrors';
import css from './cards.module.css';

interface Props {
  readonly title: string;
  readonly button: string;
  readonly isBusy: boolean;
  readonly errors: readonly FieldError[];
  readonly onSave: () => void;
  readonly children: ReactNode;
}

/** A card beside a list: fields, what was wrong with the whole, and the button that saves it. */
export function Card({ title, button, isBusy, errors, onSave, children }: Props) {
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
      <FormErrors errors={errors.filter((error) => error.field === '')} />
      <Button type="submit" variant="contained" disabled={isBusy}>
        {isBusy ? 'Saving' : button}
      </Button>
    </form>
  );
}
