'use client';
import { dayOf } from '@/core/time';
import { ulid } from 'ulid';
import type { z } from 'zod';
import { KILN_PARTS } from '@/core/vocabulary';
import { ChoiceInput, Form, TextInput, useSavedForm } from '@/ui/kit';
import { savePart } from '../actions';
import { partSchema } from '../schema';
import page from '@/ui/page.module.css';

type Part = z.infer<typeof partSchema>;

/** A part was changed: which, when, and what there is to say. */
export function PartForm({ kilnId, onSaved }: { kilnId: string; onSaved: () => void }) {
  const form = useSavedForm<Part, Part, null>({
    schema: partSchema,
    values: {
      id: ulid(),
      kilnId,
      part: 'elements',
      changedOn: dayOf(new Date()),
      note: '',
    },
    draft: { key: `jiten.part.${kilnId}` },
    save: savePart,
    onSaved,
  });
  const { control } = form;
  return (
    <Form of={form} label="Part changed" className={page.form} button="Save part change">
      <ChoiceInput control={control} name="part" label="Part" options={KILN_PARTS} />
      <TextInput control={control} name="changedOn" label="Changed on" type="date" />
      <TextInput control={control} name="note" label="Note" />
    </Form>
  );
}
