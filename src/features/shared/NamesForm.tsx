'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRef, useState } from 'react';
import { ulid } from 'ulid';
import type { Outcome } from '@/auth';
import { FormErrors } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import css from '@/ui/cards.module.css';
import { readNames } from './names';

interface Props {
  /** What is added: "glaze", "clay". */
  readonly what: string;
  /** Names that are there already. */
  readonly known: readonly string[];
  readonly save: (named: { id: string; name: string }[]) => Promise<Outcome<unknown>>;
}

/** Adds several things by their names, one a line; what is to be said of each can wait. */
export function NamesForm({ what, known, save }: Props) {
  const [text, setText, , drop] = usePersistedState(`jiten.names.${what}`, '');
  const [said, setSaid] = useState('');
  const { run, isBusy, errors } = useMutation();
  // A repeated submit after a lost answer must be the same rows.
  const ids = useRef(new Map<string, string>());
  const { fresh, there } = readNames(text, known);
  const idOf = (name: string) => {
    if (!ids.current.has(name)) ids.current.set(name, ulid());
    return ids.current.get(name)!;
  };
  const plural = `${what}${fresh.length === 1 ? '' : 's'}`;
  const add = async () => {
    if ((await run(() => save(fresh.map((name) => ({ id: idOf(name), name }))))) === undefined) return;
    setSaid(`${fresh.length} ${plural} added.`);
    setText('');
    drop();
  };
  return (
    <section className={css.card} aria-label={`Several ${what}s`}>
      <h2>Several {what}s</h2>
      <TextField
        label={`One ${what} a line`}
        multiline
        minRows={5}
        value={text}
        onChange={(event) => {
          setSaid('');
          setText(event.target.value);
        }}
        helperText={there.length ? `Already here: ${there.join(', ')}` : 'Type or paste; details can wait.'}
      />
      <Button
        variant="contained"
        disabled={isBusy || fresh.length === 0}
        onClick={() => void add()}
        sx={{ justifySelf: 'start' }}
      >
        {fresh.length === 0 ? 'Add' : `Add ${fresh.length} ${plural}`}
      </Button>
      <p role="status">{said}</p>
      <FormErrors errors={errors} />
    </section>
  );
}
