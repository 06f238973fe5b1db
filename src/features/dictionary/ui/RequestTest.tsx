'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ulid } from 'ulid';
import { type Atmosphere, type Heat, heatShort } from '@/core/vocabulary';
import { useAtmospheresInUse, useHeatsInUse } from '@/ui/StudioContext';
import type { RequestDraft } from '@/records/dictionary';
import { ChoiceInput, Form, SelectInput, TextInput, useSavedForm } from '@/ui/kit';
import { requestTest } from '../actions';
import { askedSchema } from '../schema';
import css from './entry.module.css';

interface Props {
  readonly baseId: string;
  readonly topId: string;
  /** Where it is asked for; what is left open is asked for on any. */
  readonly row?: { readonly groundId: string | null; readonly cone: Heat; readonly atmosphere: Atmosphere };
  /** What it may be asked for on. */
  readonly grounds: readonly { readonly id: string; readonly name: string }[];
}

const ANY = 'any';

/** Asks the studio for a combination that nobody has tried; Today tells when it is done, and what came. */
export function RequestTest({ baseId, topId, row, grounds }: Props) {
  const heats = useHeatsInUse(row?.cone);
  const atmospheres = useAtmospheresInUse(row?.atmosphere);
  const [isOpen, setOpen] = useState(false);
  const [isAsked, setAsked] = useState(false);
  const isPair = baseId !== topId;
  const form = useSavedForm({
    schema: askedSchema,
    values: {
      ...{ id: ulid(), baseId, topId, note: '' },
      groundId: row?.groundId ?? null,
      cone: row?.cone ?? null,
      atmosphere: row?.atmosphere ?? null,
      baseTimes: null,
      topTimes: null,
    } satisfies RequestDraft,
    save: requestTest,
    onSaved: () => setAsked(true),
  });
  const { control } = form;
  if (isAsked)
    return (
      <p role="status" className="good">
        Requested. Today will tell you when it is done, and what came.
      </p>
    );
  if (!isOpen) return <Button onClick={() => setOpen(true)}>Request this test</Button>;
  const times = [1, 2, 3].map((n) => [n, String(n)] as const);
  return (
    <Form of={form} label="Request this test" className={css.request} button="Request" isSmall>
      <SelectInput
        control={control}
        name="groundId"
        label="On"
        options={[['', ANY], ...grounds.map(({ id, name }) => [id, name] as const)]}
      />
      <ChoiceInput control={control} name="cone" label="Cone" options={heats} wordOf={heatShort} none={ANY} />
      <ChoiceInput control={control} name="atmosphere" label="Atmosphere" options={atmospheres} none={ANY} />
      {isPair && (
        <SelectInput control={control} name="baseTimes" label="Coats below" options={[['', ANY], ...times]} />
      )}
      <SelectInput
        control={control}
        name="topTimes"
        label={isPair ? 'Coats over it' : 'Coats'}
        options={[['', ANY], ...times]}
      />
      <TextInput control={control} name="note" label="What for?" multiline />
    </Form>
  );
}
