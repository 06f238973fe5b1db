'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import dayjs from 'dayjs';
import { useState } from 'react';
import { ulid } from 'ulid';
import { KILN_PARTS, type KilnPart } from '@/core/vocabulary';
import { Choice } from '@/ui/Choice';
import { FormErrors } from '@/ui/FormErrors';
import { useMutation } from '@/ui/useMutation';
import { WordField } from '@/ui/WordField';
import { savePart } from '../actions';
import css from './kiln.module.css';

/** A part was changed: which, when, and what there is to say. */
export function PartForm({ kilnId, onSaved }: { kilnId: string; onSaved: () => void }) {
  const [part, setPart] = useState<KilnPart>('elements');
  const [changedOn, setChangedOn] = useState(dayjs().format('YYYY-MM-DD'));
  const [note, setNote] = useState('');
  const [id] = useState(ulid);
  const { run, isBusy, errors } = useMutation();
  const of = (field: string) => errors.find((error) => error.field === field)?.message;
  const save = async () => {
    if ((await run(() => savePart({ id, kilnId, part, changedOn, note }))) === null) onSaved();
  };
  return (
    <form
      aria-label="Part changed"
      className={css.partForm}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
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
      <WordField label="Note" value={note} onChange={setNote} error={of('note')} />
      <FormErrors errors={errors.filter(({ field }) => field === '')} />
      <Button type="submit" variant="contained" disabled={isBusy}>
        Save part change
      </Button>
    </form>
  );
}
