'use client';
import type { ReactNode } from 'react';
import type { FieldValues } from 'react-hook-form';
import { Form } from './Form';
import type { SavedForm } from './useSavedForm';
import css from '../cards.module.css';

interface Props<Values extends FieldValues, Theirs> {
  readonly of: SavedForm<Values, Theirs>;
  readonly title: string;
  readonly button: string;
  readonly children: ReactNode;
}

/** A card beside a list: a form under the name of what it is about. */
export function Card<Values extends FieldValues, Theirs>({
  of,
  title,
  button,
  children,
}: Props<Values, Theirs>) {
  return (
    <Form of={of} label={title} className={css.card} button={button}>
      <h2>{title}</h2>
      {children}
    </Form>
  );
}
