'use client';
import Button from '@mui/material/Button';
import { useController } from 'react-hook-form';
import { ulid } from 'ulid';
import type { z } from 'zod';
import type { Group, Person } from '@/records/people';
import {
  Card,
  ConflictNotice,
  FormErrors,
  SelectInput,
  SeveralField,
  TextInput,
  useSavedForm,
} from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { endGroup, saveGroupCard } from '../actions';
import { groupFormSchema } from '../schema';

interface Props {
  readonly group: Group | null;
  readonly people: readonly Person[];
  readonly me: { readonly id: string; readonly isTechnician: boolean };
}

type Typed = z.infer<typeof groupFormSchema>;

const blank = (teacherId: string): Typed => ({ id: ulid(), name: '', teacherId, memberIds: [], dueOn: '' });

/** A class: its name, its teacher and who is in it. It ends, and can still be looked at. */
export function GroupCard({ group, people, me }: Props) {
  const { run, isBusy, errors } = useMutation();
  const form = useSavedForm<Typed, Typed, null, Group>({
    schema: groupFormSchema,
    values: group
      ? {
          id: group.id,
          name: group.name,
          teacherId: group.teacherId,
          memberIds: [...group.memberIds],
          dueOn: group.dueOn ?? '',
        }
      : blank(me.id),
    draft: { key: `jiten.group.${group ? `${group.id}.${group.version}` : 'new'}` },
    under: 'group',
    version: group?.version ?? null,
    save: ({ dueOn, ...typed }, version) =>
      saveGroupCard({ group: { ...typed, dueOn: dueOn || null }, version }),
    onSaved: () => {
      if (!group) form.form.reset(blank(me.id));
    },
  });
  const { control, theirs } = form;
  const members = useController({ control, name: 'memberIds' }).field;
  const there = people.filter(({ endedAt }) => endedAt === null);
  const nameOf = new Map(there.map(({ id, name }) => [id, name]));
  const idOf = new Map(there.map(({ id, name }) => [name, id]));
  const teachers = there.filter(
    ({ role, signIn }) => signIn !== null && role !== 'student' && role !== 'visitor',
  );
  return (
    <>
      <Card of={form} title={group?.name ?? 'New group'} button={group ? 'Save' : 'Add this group'}>
        {theirs && (
          <ConflictNotice
            rows={[{ name: 'Name', mine: form.form.getValues('name'), theirs: theirs.name }]}
            onKeepMine={() => void form.submit(theirs.version)}
          />
        )}
        <TextInput control={control} name="name" label="Name" autoFocus={!group} />
        <SelectInput
          control={control}
          name="teacherId"
          label="Teacher"
          options={teachers
            .filter(({ id }) => me.isTechnician || id === me.id)
            .map(({ id, name }) => [id, name] as const)}
        />
        <TextInput control={control} name="dueOn" label="Pieces are to be fired by" type="date" />
        <SeveralField
          label="Members"
          options={[...idOf.keys()]}
          value={members.value.map((id: string) => nameOf.get(id)).filter((name) => name !== undefined)}
          onChange={(names) => members.onChange(names.map((name) => idOf.get(name)!))}
        />
      </Card>
      {group && (
        <>
          <FormErrors errors={errors} />
          <Button
            disabled={isBusy}
            onClick={() => void run(() => endGroup({ id: group.id, isEnded: !group.endedAt }))}
          >
            {group.endedAt ? 'Take the group up again' : 'End the group'}
          </Button>
        </>
      )}
    </>
  );
}
