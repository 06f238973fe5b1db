'use client';
import dayjs from 'dayjs';
import { useState } from 'react';
import { ulid } from 'ulid';
import type { Glaze } from '@/records/materials';
import { Card } from '@/ui/Card';
import { NumberField } from '@/ui/NumberField';
import css from '@/ui/cards.module.css';
import { useAct } from '@/ui/useAct';
import { WordField } from '@/ui/WordField';
import { saveBatch } from '../actions';

function fresh() {
  return { id: ulid(), code: '', specificGravity: null as number | null };
}

/** The batches of a glaze in use, newest first, and the line that notes a new one. */
export function Batches({ glaze }: { glaze: Glaze }) {
  const [draft, setDraft] = useState(fresh);
  const { act, busy, faults } = useAct();
  const of = (field: string) => faults.find((fault) => fault.field === field)?.message;
  const save = async () => {
    const batch = { ...draft, glazeId: glaze.id, mixedOn: dayjs().format('YYYY-MM-DD') };
    if ((await act(() => saveBatch(batch))) === null) setDraft(fresh());
  };
  return (
    <Card title="Batches" button="Mixed today" busy={busy} faults={faults} onSave={() => void save()}>
      <p className="figures">{glaze.batches.map((batch) => batch.code).join('  ') || 'none noted'}</p>
      <div className={css.pair}>
        <WordField
          label="On the bucket"
          value={draft.code}
          onChange={(code) => setDraft({ ...draft, code })}
          fault={of('code')}
        />
        <NumberField
          label="Specific gravity"
          value={draft.specificGravity}
          onChange={(specificGravity) => setDraft({ ...draft, specificGravity })}
          fault={of('specificGravity')}
        />
      </div>
      {glaze.caution && <p className="heat small">{glaze.caution}</p>}
      <p className="small">Dry materials: respirator on, wipe wet, no sweeping.</p>
    </Card>
  );
}
