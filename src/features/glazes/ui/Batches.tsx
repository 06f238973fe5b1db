'use client';
import { dayOf } from '@/core/time';
import { ulid } from 'ulid';
import type { Glaze } from '@/records/materials';
import { Card, NumberInput, SelectInput, TextInput, useSavedForm } from '@/ui/kit';
import css from '@/ui/cards.module.css';
import { saveBatch } from '../actions';
import { batchSchema } from '../schema';

/** The batches of a glaze in use, newest first, and the line that notes a new one. */
export function Batches({ glaze }: { glaze: Glaze }) {
  const fresh = () => ({
    id: ulid(),
    glazeId: glaze.id,
    versionId: glaze.versionId,
    code: '',
    mixedOn: dayOf(new Date()),
    specificGravity: null as number | null,
  });
  const form = useSavedForm({
    schema: batchSchema,
    values: fresh(),
    save: saveBatch,
    onSaved: () => form.form.reset(fresh()),
  });
  const { control } = form;
  return (
    <Card of={form} title="Batches" button="Mixed today">
      <p className="figures">{glaze.batches.map((batch) => batch.code).join('  ') || 'none noted'}</p>
      <div className={css.pair}>
        <TextInput control={control} name="code" label="On the bucket" />
        {glaze.versions.length > 1 && (
          <SelectInput
            control={control}
            name="versionId"
            label="Recipe version"
            options={glaze.versions.map(
              ({ id, number }) =>
                [id, id === glaze.versionId ? `${number}, in use` : String(number)] as const,
            )}
          />
        )}
        <NumberInput control={control} name="specificGravity" label="Specific gravity" />
      </div>
      {glaze.caution && <p className="heat small">{glaze.caution}</p>}
      <p className="small">Dry materials: respirator on, wipe wet, no sweeping.</p>
    </Card>
  );
}
