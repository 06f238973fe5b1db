'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import dayjs from 'dayjs';
import { useState } from 'react';
import { ulid } from 'ulid';
import { KILN_PARTS, type KilnPart } from '@/core/firing';
import { Choice } from '@/ui/Choice';
import { Faults } from '@/ui/Faults';
import { useAct } from '@/ui/useAct';
import { WordField } from '@/ui/WordField';
import { keepPart } from '../actions';
import css from './kiln.module.css';

/** A part was changed: which, when, and what there is to say. */
export function PartForm({ kilnId, onSaved }: { kilnId: string; onSaved: () => void }) {
  const [part, setPart] = useState<KilnPart>('elements');
  const [changedOn, setChangedOn] = useState(dayjs().format('YYYY-MM-DD'));
  const [note, setNote] = useState('');
  const [id] = useState(ulid);
  const { act, busy, faults } = useAct();
  const of = (field: string) => faults.find((fault) => fault.field === field)?.message;
  return (
    <form
      aria-label="Part changed"
      className={css.partForm}
      onSubmit={async (event) => {
        event.preventDefault();
        if ((await act(() => keepPart({ id, kilnId, part, changedOn, note }))) === null) onSaved();
      }}
    >
      <Choice label="Part" options={KILN_PARTS} value={part} onChange={(one) => setPart(one ?? 'other')} />
      <TextField
        label="Changed on"
        type="date"
        value={changedOn}
        onChange={(event) => setChangedOn(event.target.value)}
        error={Boolean(of('changedOn'))}
        helperText={of('changedOn')}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <WordField label="Note" value={note} onChange={setNote} fault={of('note')} />
      <Faults faults={faults.filter(({ field }) => field === '')} />
      <Button type="submit" variant="contained" disabled={busy}>
        Write it down
      </Button>
    </form>
  );
}
