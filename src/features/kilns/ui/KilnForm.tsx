'use client';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import { ulid } from 'ulid';
import type { Kiln, KilnDraft } from '@/records/firings';
import { Choice } from '@/ui/Choice';
import { FormErrors } from '@/ui/FormErrors';
import { NumberField } from '@/ui/NumberField';
import { ConflictNotice } from '@/ui/ConflictNotice';
import { useMutation, type OverTheWire } from '@/ui/useMutation';
import { WordField } from '@/ui/WordField';
import { saveKilnForm } from '../actions';
import page from '@/ui/page.module.css';

type Draft = { [K in keyof KilnDraft]: KilnDraft[K] extends number ? number | null : KilnDraft[K] };

const FIRST: Omit<Draft, 'id'> = {
  name: '',
  heat: 'electric',
  litres: 150,
  shelves: 4,
  controller: '',
  openBelow: 50,
  mostCelsius: 1300,
  shelfWidthMm: 500,
  shelfDepthMm: 500,
  roundShelves: true,
};

const NUMBERS = {
  litres: 'Litres',
  shelves: 'Shelves',
  shelfWidthMm: 'Shelf width, mm',
  shelfDepthMm: 'Shelf depth, mm',
  mostCelsius: 'Never over, °C',
  openBelow: 'Opened below, °C',
} as const;

/** The fields that are shown when two people changed a kiln. */
const LABELS = { name: 'Name', controller: 'Controller', ...NUMBERS } as const;

function differing(draft: Draft, theirs: OverTheWire<Kiln>) {
  return (Object.keys(LABELS) as (keyof typeof LABELS)[])
    .map((field) => ({ name: LABELS[field], mine: String(draft[field]), theirs: String(theirs[field]) }))
    .filter((row) => row.mine !== row.theirs);
}

/** What a kiln is: for a new one, or to put one right. */
export function KilnForm({ kiln, onSaved }: { kiln: Kiln | null; onSaved: () => void }) {
  const [draft, setDraft] = useState<Draft>(() => kiln ?? { id: ulid(), ...FIRST });
  const { run, isBusy, errors, theirs } = useMutation<Kiln>();
  const of = (field: string) =>
    errors.find((error) => error.field === `kiln.${field}` || error.field === field)?.message;
  const change = (part: Partial<Draft>) => setDraft({ ...draft, ...part });
  const save = async (version: number | null) => {
    if ((await run(() => saveKilnForm({ kiln: draft, version }))) === null) onSaved();
  };
  return (
    <form
      className={page.form}
      aria-label="Kiln"
      onSubmit={(event) => {
        event.preventDefault();
        void save(kiln?.version ?? null);
      }}
    >
      <WordField
        label="Name"
        value={draft.name}
        onChange={(name) => change({ name })}
        error={of('name')}
        autoFocus
      />
      <Choice
        label="Heat"
        options={['electric', 'gas', 'wood'] as const}
        value={draft.heat}
        onChange={(heat) => change({ heat: heat ?? 'electric' })}
      />
      {(Object.keys(NUMBERS) as (keyof typeof NUMBERS)[]).map((field) => (
        <NumberField
          key={field}
          label={NUMBERS[field]}
          value={draft[field]}
          onChange={(value) => change({ [field]: value })}
          error={of(field)}
        />
      ))}
      <FormControlLabel
        control={
          <Checkbox
            checked={draft.roundShelves}
            onChange={(event) => change({ roundShelves: event.target.checked })}
          />
        }
        label="Round shelves"
      />
      <WordField
        label="Address of its controller"
        value={draft.controller}
        onChange={(controller) => change({ controller })}
        error={of('controller')}
        hint="Empty when it is read by hand."
        className={page.wide}
      />
      <div className={page.wide}>
        {theirs ? (
          <ConflictNotice rows={differing(draft, theirs)} onKeepMine={() => void save(theirs.version)} />
        ) : (
          <FormErrors errors={errors.filter((error) => error.field === '')} />
        )}
        <Button type="submit" variant="contained" disabled={isBusy}>
          {kiln ? 'Save' : 'Add this kiln'}
        </Button>
      </div>
    </form>
  );
}
