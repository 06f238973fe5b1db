'use client';
import { dayOf } from '@/core/time';
import { ulid } from 'ulid';
import type { z } from 'zod';
import { FIRING_KINDS } from '@/core/vocabulary';
import { useAtmospheresInUse } from '@/ui/StudioContext';
import type { Firing, Kiln, Programme } from '@/records/firings';
import { ChoiceInput, Form, SelectInput, TextInput, useSavedForm } from '@/ui/kit';
import { saveFiringPlan } from '../actions';
import { HeatInputs } from './HeatInputs';
import page from '@/ui/page.module.css';
import { firingSchema } from '../schema';

type Plan = z.infer<typeof firingSchema>;
/** A plan as it stands in its form: what nobody said yet is null. */
export type FirstPlan = Omit<Plan, 'kind' | 'cone' | 'atmosphere'> & {
  readonly [K in 'kind' | 'cone' | 'atmosphere']: Plan[K] | null;
};

interface Props {
  readonly kilns: readonly Kiln[];
  readonly programmes: readonly Programme[];
  readonly values: FirstPlan;
  readonly version: number | null;
  readonly onSaved: (id: string) => void;
}

/**
 * What a new firing of a kiln most likely is: its last glaze firing over again, today; of a kiln that has none its last
 * one. Where nothing was fired yet, kind, cone and atmosphere are left to be said.
 *
 * @param firings those of the kiln, newest first
 */
export function firstPlan(kiln: Kiln, firings: readonly Firing[]): FirstPlan {
  const last = firings.find(({ kind }) => kind === 'glaze') ?? firings[0];
  return {
    id: ulid(),
    kilnId: kiln.id,
    kind: last?.kind ?? null,
    cone: last?.cone ?? null,
    toCelsius: last?.toCelsius ?? null,
    atmosphere: last?.atmosphere ?? null,
    plannedOn: dayOf(new Date()),
    startsAt: last?.startsAt ?? '18:00',
    programmeId: last?.programmeId ?? null,
    segments: last?.segments ? [...last.segments] : null,
    programme: last?.programme ?? '',
    remarks: '',
  };
}

/** Kiln, kind, cone, atmosphere, day and programme of a firing. */
export function FiringForm({ kilns, programmes, values, version, onSaved }: Props) {
  const form = useSavedForm<FirstPlan, Plan, null>({
    schema: firingSchema,
    values,
    draft: { key: `jiten.firing.${version === null ? `new.${values.kilnId}` : `${values.id}.${version}`}` },
    under: 'firing',
    version,
    save: (firing, over) => saveFiringPlan({ firing, version: over }),
    onSaved: ({ id }) => onSaved(id),
  });
  const { control } = form;
  const atmospheres = useAtmospheresInUse(values.atmosphere);
  const { setValue } = form.form;
  const followProgramme = (programmeId: string) => {
    const chosen = programmes.find(({ id }) => id === programmeId);
    setValue('segments', chosen ? [...chosen.segments] : null);
    if (chosen) setValue('programme', chosen.name);
  };
  const named = (list: readonly { readonly id: string; readonly name: string }[]) =>
    list.map(({ id, name }) => [id, name] as const);
  return (
    <Form
      of={form}
      label="Firing"
      className={page.form}
      button={version === null ? 'Plan this firing' : 'Save'}
    >
      <SelectInput control={control} name="kilnId" label="Kiln" options={named(kilns)} />
      <ChoiceInput control={control} name="kind" label="Kind" options={FIRING_KINDS} />
      <HeatInputs
        control={control}
        cone="cone"
        toCelsius="toCelsius"
        label="Target cone"
        chosen={values.cone}
      />
      <ChoiceInput control={control} name="atmosphere" label="Atmosphere" options={atmospheres} />
      <TextInput control={control} name="plannedOn" label="Day" type="date" />
      <TextInput control={control} name="startsAt" label="Starts at" type="time" />
      <SelectInput
        control={control}
        name="programmeId"
        label="Programme"
        options={[['', 'by hand'], ...named(programmes)]}
        onChosen={followProgramme}
      />
      <TextInput
        control={control}
        name="programme"
        label="Programme or speed in words"
        className={page.wide}
      />
      <TextInput control={control} name="remarks" label="Remarks" multiline className={page.wide} />
    </Form>
  );
}
