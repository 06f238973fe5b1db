'use client';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useRouter } from 'next/navigation';
import { ulid } from 'ulid';
import { CONES } from '@/core/vocabulary';
import type { Body, BodyDraft } from '@/records/materials';
import { Card } from '@/ui/Card';
import { Choice } from '@/ui/Choice';
import { ColourField } from '@/ui/ColourField';
import { NumberField } from '@/ui/NumberField';
import css from '@/ui/cards.module.css';
import { useMutation } from '@/ui/useMutation';
import { WordField } from '@/ui/WordField';
import { usePersistedState } from '@/ui/usePersistedState';
import { saveBodyCard } from '../actions';

function blank(): BodyDraft {
  return {
    id: ulid(),
    name: '',
    colourOxidation: '#e0d6c4',
    colourReduction: '#cfc0a6',
    iron: 'none',
    coarse: false,
    coneFrom: '5',
    coneTo: '7',
    shrinkage: null,
    absorption: null,
    expansion: null,
    note: '',
  };
}

/** What is known of one clay; a new one when none is given. */
export function BodyCard({ body }: { body: Body | null }) {
  const router = useRouter();
  const [draft, setDraft, , drop] = usePersistedState<BodyDraft>(
    `jiten.clay.${body ? `${body.id}.${body.version}` : 'new'}`,
    body ?? blank(),
  );
  const { run, isBusy, errors } = useMutation();
  const of = (field: string) =>
    errors.find((error) => error.field === `body.${field}` || error.field === field)?.message;
  const change = (part: Partial<BodyDraft>) => setDraft((before) => ({ ...before, ...part }));
  const number = (key: 'shrinkage' | 'absorption' | 'expansion', label: string) => (
    <NumberField
      label={label}
      value={draft[key]}
      onChange={(value) => change({ [key]: value })}
      error={of(key)}
    />
  );
  const save = async () => {
    if ((await run(() => saveBodyCard({ body: draft, version: body?.version ?? null }))) !== null) return;
    drop();
    if (!body) router.push(`/clays/${draft.id}`);
  };
  return (
    <Card
      title={body ? body.name : 'New clay'}
      button={body ? 'Save' : 'Add this clay'}
      isBusy={isBusy}
      errors={errors}
      onSave={() => void save()}
    >
      <WordField label="Name" value={draft.name} onChange={(name) => change({ name })} error={of('name')} />
      <div className={css.pair}>
        <ColourField
          label="Colour, oxidation"
          value={draft.colourOxidation}
          onChange={(colourOxidation) => change({ colourOxidation })}
          error={of('colourOxidation')}
        />
        <ColourField
          label="Colour, reduction"
          value={draft.colourReduction}
          onChange={(colourReduction) => change({ colourReduction })}
          error={of('colourReduction')}
        />
        <Choice
          label="From cone"
          options={CONES}
          value={draft.coneFrom}
          onChange={(cone) => change({ coneFrom: cone ?? '5' })}
          error={of('coneFrom')}
        />
        <Choice
          label="To cone"
          options={CONES}
          value={draft.coneTo}
          onChange={(cone) => change({ coneTo: cone ?? '7' })}
          error={of('coneTo')}
        />
        <Choice
          label="Iron"
          options={['none', 'low', 'high'] as const}
          value={draft.iron}
          onChange={(iron) => change({ iron: iron ?? 'none' })}
        />
        {number('shrinkage', 'Shrinkage, %')}
        {number('absorption', 'Absorption, %')}
        {number('expansion', 'Expansion, 1e-6/K')}
      </div>
      <FormControlLabel
        control={
          <Switch checked={draft.coarse} onChange={(event) => change({ coarse: event.target.checked })} />
        }
        label="Coarse or grogged"
      />
      <WordField
        label="Note"
        value={draft.note}
        onChange={(note) => change({ note })}
        multiline
        minRows={2}
        error={of('note')}
      />
    </Card>
  );
}
