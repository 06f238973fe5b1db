'use client';
import dayjs from 'dayjs';
import { useState } from 'react';
import { ulid } from 'ulid';
import type { Glaze } from '@/records/materials';
import { Card } from '@/ui/Card';
import { NumberField } from '@/ui/NumberField';
import css from '@/ui/cards.module.css';
import { useMutation } from '@/ui/useMutation';
import { WordField } from '@/ui/WordField';
import { saveBatch } from '../actions';

function fresh() {
  return { id: ulid(), code: '', specificGravity: null as number | null };
}

/** The batches of a glaze in use, newest first, and the line that notes a new one. */
export function Batches({ glaze }: { glaze: Glaze }) {
  const [draft, setDraft] = useState(fresh);
  const { run, isBusy, errors } = useMutation();
  const of = (field: string) => errors.find((error) => error.field === field)?.message;
  const save = async () => {
    const batch = { ...draft, glazeId: glaze.id, mixedOn: dayjs().format('YYYY-MM-DD') };
    if ((await run(() => saveBatch(batch))) === null) setDraft(fresh());
  };
  return (
    <Card title="Batches" button="Mixed today" isBusy={isBusy} errors={errors} onSave={() => void save()}>
      <p className="figures">{glaze.batches.map((batch) => batch.code).join('  ') || 'none noted'}</p>
      <div className={css.pair}>
        <WordField
          label="On the bucket"
          value={draft.code}
          onChange={(code) => setDraft({ ...draft, code })}
          error={of('code')}
        />
        <NumberField
          label="Specific gravity"
          value={draft.specificGravity}
          onChange={(specificGravity) => setDraft({ ...draft, specificGravity })}
          error={of('specificGravity')}
        />
      </div>
      {glaze.caution && <p className="heat small">{glaze.caution}</p>}
      <p className="small">Dry materials: respirator on, wipe wet, no sweeping.</p>
    </Card>
  );
}
