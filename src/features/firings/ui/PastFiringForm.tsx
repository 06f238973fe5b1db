'use client';
import { ulid } from 'ulid';
import type { z } from 'zod';
import { FIRING_KINDS } from '@/core/vocabulary';
import { ChoiceInput, Form, TextInput, useSavedForm } from '@/ui/kit';
import { HeatInputs } from './HeatInputs';
import page from '@/ui/page.module.css';
import { useAtmospheresInUse } from '@/ui/StudioContext';
import { logPastFiring } from '../actions';
import { pastFiringSchema } from '../schema';
import type { FirstPlan } from './FiringForm';

type Past = z.infer<typeof pastFiringSchema>;
type Values = FirstPlan & Pick<Past, 'numbers'>;

interface Props {
  readonly kilnId: string;
  readonly onSaved: (firing: Past) => void;
}

/** A firing that is over, in one form: its day, its kind and cone, who fired it, and the numbers of what was in it. */
export function PastFiringForm({ kilnId, onSaved }: Props) {
  const form = useSavedForm<Values, Past, null>({
    schema: pastFiringSchema,
    // What it was is said by who knows it, not taken over from another firing.
    values: {
      ...{
        id: ulid(),
        kilnId,
        kind: null,
        cone: null,
        toCelsius: null,
        atmosphere: null,
        plannedOn: '',
        startsAt: '00:00',
      },
      ...{ programmeId: null, segments: null, programme: '', remarks: '', numbers: '' },
    },
    draft: { key: `jiten.firing.past.${kilnId}` },
    under: 'firing',
    save: (firing) => logPastFiring({ firing }),
    onSaved,
  });
  const { control } = form;
  const atmospheres = useAtmospheresInUse(null);
  return (
    <Form of={form} label="Past firing" className={page.form} button="Write it down">
      <TextInput control={control} name="plannedOn" label="Day" type="date" />
      <ChoiceInput control={control} name="kind" label="Kind" options={FIRING_KINDS} />
      <HeatInputs control={control} cone="cone" toCelsius="toCelsius" label="Cone" chosen={null} />
      <ChoiceInput control={control} name="atmosphere" label="Atmosphere" options={atmospheres} />
      <TextInput
        control={control}
        name="numbers"
        label="Numbers of the pieces in it"
        placeholder="12-40, 55"
        className={page.wide}
      />
      <TextInput
        control={control}
        name="remarks"
        label="Who fired it, and remarks"
        multiline
        className={page.wide}
      />
    </Form>
  );
}
