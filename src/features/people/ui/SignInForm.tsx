'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useActionState, type ReactNode } from 'react';
import type { Outcome } from '@/auth';
import css from './signIn.module.css';

interface Field {
  readonly name: string;
  readonly label: string;
  readonly type?: 'password';
  readonly autoComplete: string;
  /** What stands in it at first. */
  readonly value?: string;
}

interface Answer {
  readonly outcome: Outcome<null> | null;
  readonly typed: FormData | null;
}

type Action = (before: unknown, form: FormData) => Promise<Outcome<null>>;

/** The sheet somebody signs in on, or makes the first sign-in of a studio. */
export function SignInForm({
  title,
  lead,
  fields,
  button,
  action,
  children,
}: {
  title: string;
  lead: string;
  fields: readonly Field[];
  button: string;
  action: Action;
  children?: ReactNode;
}) {
  // A form resets itself after its action: what was typed comes back as its first values, but for a refused password.
  const [{ outcome, typed }, submit, isBusy] = useActionState<Answer, FormData>(
    async (_before, form) => ({ outcome: await action(null, form), typed: form }),
    { outcome: null, typed: null },
  );
  const errors = outcome && !outcome.ok ? outcome.errors : [];
  const of = (name: string) => errors.find((error) => error.field === name)?.message;
  return (
    <main className={css.sheet}>
      <div className={css.word}>
        <h1>Jiten</h1>
        <p lang="ja-Latn">
          <i>n.</i> a reference dictionary; here, of fired results.
        </p>
      </div>
      <form action={submit} className={css.form}>
        <h2>{title}</h2>
        <p className="quiet">{lead}</p>
        {fields.map(({ name, label, type, autoComplete, value = '' }, i) => (
          <TextField
            key={name}
            name={name}
            label={label}
            type={type ?? 'text'}
            autoComplete={autoComplete}
            defaultValue={
              type && (of(name) ?? of('')) ? '' : ((typed?.get(name) as string | undefined) ?? value)
            }
            autoFocus={i === 0}
            error={Boolean(of(name))}
            helperText={of(name)}
            size="medium"
          />
        ))}
        <p role="alert" className="heat">
          {of('')}
        </p>
        <Button type="submit" variant="contained" size="large" disabled={isBusy}>
          {isBusy ? 'One moment' : button}
        </Button>
        {children}
      </form>
    </main>
  );
}
