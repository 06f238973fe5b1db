'use client';
import { dayOf } from '@/core/time';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { useFieldArray, useWatch } from 'react-hook-form';
import { faultsIn, predict, type Segment } from '@/core/firing';
import type { KilnHabits, Kiln, Programme, ProgrammeDraft } from '@/records/firings';
import {
  ConflictNotice,
  Form,
  NumberInput,
  QuantityInput,
  TextInput,
  useSavedForm,
  type FormValues,
} from '@/ui/kit';
import { sayMessage } from '@/core/units';
import { useUnits } from '@/ui/units';
import { saveProgrammeForm } from '../actions';
import { programmeFieldsSchema } from '../schema';
import { ProgrammeForecast } from './ProgrammeForecast';
import css from './programmes.module.css';

export type ProgrammeFields = ProgrammeDraft & { readonly version: number | null };

/** A programme as it is typed: a number that is not there yet is null. */
interface Typed {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly segments: readonly FormValues<Segment>[];
}

interface Props {
  readonly programme: ProgrammeFields;
  readonly kilns: readonly Kiln[];
  readonly habits: readonly KilnHabits[];
  readonly mayWrite: boolean;
  readonly onDone: () => void;
}

const FIELDS = ['rate', 'target', 'hold'] as const;

/** The steps of a programme beside the curve they draw, the cone it comes to, and when the kiln can be opened. */
export function ProgrammeEditor({ programme, kilns, habits, mayWrite, onDone }: Props) {
  const { version, ...values } = programme;
  const form = useSavedForm<Typed, ProgrammeDraft, null, Programme>({
    schema: programmeFieldsSchema,
    values,
    draft: { key: `jiten.programme.${version === null ? 'new' : programme.id}` },
    under: 'programme',
    version,
    save: (typed, over) => saveProgrammeForm({ programme: typed, version: over }),
    onSaved: onDone,
  });
  const { control, theirs } = form;
  const steps = useFieldArray({ control, name: 'segments' });
  const { segments = [], name = '' } = useWatch({ control });
  const [kilnName, setKilnName] = useState(kilns[0]?.name ?? null);
  const [start, setStart] = useState(() => `${dayOf(new Date())}T18:00`);
  const kiln = kilns.find((one) => one.name === kilnName);
  const habit = habits.find(({ kilnId }) => kilnId === kiln?.id);
  const whole = useMemo(() => (segments.every(isWhole) ? segments : null), [segments]);
  const wrong = whole ? faultsIn(whole, kiln?.mostCelsius) : [];
  const sound = whole !== null && wrong.length === 0 && whole.length > 0;
  const forecast = useMemo(() => (sound ? predict(whole, habit?.climbs ?? []) : null), [sound, whole, habit]);
  const conflict = theirs && (
    <ConflictNotice
      rows={[{ name: 'Name', mine: name, theirs: theirs.name }]}
      onKeepMine={() => void form.submit(theirs.version)}
    />
  );
  const units = useUnits();
  const errorOf = (segment: number, field: keyof Segment) => {
    const error = wrong.find((one) => one.segment === segment && one.field === field);
    return error && sayMessage(error.message, units);
  };
  const cancel = () => {
    form.discard();
    onDone();
  };
  return (
    <div className={css.editor}>
      <Form
        of={form}
        label="Programme"
        className={css.steps}
        button="Save this programme"
        isDisabled={!sound}
        isReadOnly={!mayWrite}
        notice={conflict}
        beside={
          <Button variant="text" onClick={cancel}>
            Cancel
          </Button>
        }
      >
        <TextInput control={control} name="name" label="Name" />
        {steps.fields.map((step, i) => (
          <fieldset key={step.id} className={css.step} aria-label={`Step ${i + 1}`}>
            <b className="figures">{i + 1}</b>
            <QuantityInput
              {...{ control, dimension: 'rate', label: 'Rate', error: errorOf(i, 'rate') }}
              name={`segments.${i}.rate`}
            />
            <QuantityInput
              {...{ control, dimension: 'temperature', label: 'To', error: errorOf(i, 'target') }}
              name={`segments.${i}.target`}
            />
            <NumberInput
              {...{ control, label: 'Hold, min', error: errorOf(i, 'hold') }}
              name={`segments.${i}.hold`}
            />
            <Button variant="text" aria-label={`Remove step ${i + 1}`} onClick={() => steps.remove(i)}>
              Remove
            </Button>
          </fieldset>
        ))}
        <Button onClick={() => steps.append({ rate: 60, target: segments.at(-1)?.target ?? 1000, hold: 0 })}>
          Add a step
        </Button>
        <TextInput control={control} name="note" label="Note" multiline />
      </Form>
      <ProgrammeForecast
        {...{ kilns, kilnName, setKilnName, start, setStart, forecast }}
        name={name || 'Programme'}
        coolHours={habit?.coolHours ?? null}
      />
    </div>
  );
}

function isWhole(segment: Partial<FormValues<Segment>>): segment is Segment {
  return FIELDS.every((field) => typeof segment[field] === 'number' && Number.isFinite(segment[field]));
}
