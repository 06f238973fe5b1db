'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { FormErrors, WordField } from '@/ui/kit';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { useMutation } from '@/ui/useMutation';
import { saveGlazingPattern } from '../actions';
import css from './piece.module.css';

/** Gives the way a piece is glazed a name, under which a sheet offers it. */
export function PatternPanel({ pieceId }: { readonly pieceId: string }) {
  const [name, setName] = useState<string | null>(null);
  const [kept, setKept] = useState<string | null>(null);
  const [idOf, wasKept] = useIdempotentId();
  const { run, isBusy, errors } = useMutation();
  const save = async () => {
    const asked = { name: (name ?? '').trim(), pieceId };
    if ((await run(() => saveGlazingPattern({ id: idOf(asked), ...asked }))) === undefined) return;
    wasKept(asked);
    setKept(asked.name);
    setName(null);
  };
  return (
    <section className={css.ware} aria-label="Way of glazing">
      <div className={css.wareHead}>
        {kept && <span role="status">A sheet of pieces offers it now as “{kept}”.</span>}
        <Button size="small" onClick={() => setName(name === null ? '' : null)} aria-expanded={name !== null}>
          Name this way of glazing
        </Button>
      </div>
      {name !== null && (
        <div className={css.setForm}>
          <WordField
            label="Name of the pattern"
            value={name}
            onChange={setName}
            autoFocus
            error={errors.find(({ field }) => field === 'name')?.message}
            onKeyDown={(event) => event.key === 'Enter' && void save()}
          />
          <Button variant="contained" disabled={isBusy || name.trim() === ''} onClick={() => void save()}>
            Keep pattern
          </Button>
          <FormErrors errors={errors.filter(({ field }) => field !== 'name')} />
        </div>
      )}
    </section>
  );
}
