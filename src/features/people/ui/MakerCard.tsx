'use client';
import { ulid } from 'ulid';
import type { Group } from '@/records/people';
import { Card, SelectInput, TextInput, useSavedForm } from '@/ui/kit';
import { saveMaker } from '../actions';
import { groupOptions } from '../model/groupOptions';
import { makerSchema } from '../schema';

interface Props {
  readonly groups: readonly Group[];
  readonly me: { readonly id: string; readonly isTechnician: boolean };
}

/** Somebody without a sign-in, for whom others log: "Wren, Tuesday class". */
export function MakerCard({ groups, me }: Props) {
  const form = useSavedForm({
    schema: makerSchema,
    values: { id: ulid(), name: '', groupId: me.isTechnician ? null : (groups[0]?.id ?? null) },
    save: (maker) => saveMaker(maker),
    // The next one is another.
    onSaved: () => form.form.reset({ id: ulid(), name: '', groupId: form.form.getValues('groupId') }),
  });
  const { control } = form;
  return (
    <Card of={form} title="Add a maker" button="Add this maker">
      <p className="small quiet">
        A maker needs no sign-in: pieces are logged for them. They can get one later and keep all their
        pieces.
      </p>
      <TextInput control={control} name="name" label="Name" autoFocus />
      <SelectInput control={control} name="groupId" label="Group" options={groupOptions(groups, me)} />
    </Card>
  );
}
