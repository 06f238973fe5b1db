'use client';
import { ulid } from 'ulid';
import { KILN_HEATS } from '@/core/vocabulary';
import type { Kiln, KilnDraft } from '@/records/firings';
import {
  ChoiceInput,
  ConflictNotice,
  Form,
  NumberInput,
  SwitchInput,
  TextInput,
  useSavedForm,
  type FormValues,
} from '@/ui/kit';
import type { OverTheWire } from '@/ui/useMutation';
import { saveKilnForm } from '../actions';
import { kilnSchema } from '../schema';
import page from '@/ui/page.module.css';

type Values = FormValues<KilnDraft>;

const FIRST: Omit<Values, 'id'> = {
  name: '',
  heat: 'electric',
  litres: 150,
  shelves: 4,
  controller: '',
  openBelow: 50,
  mostCelsius: 1300,
  shelfWidthMm: 500,
  shelfDepthMm: 500,
  roundShelves: true,
};

const NUMBERS = {
  litres: 'Litres',
  shelves: 'Shelves',
  shelfWidthMm: 'Shelf width, mm',
  shelfDepthMm: 'Shelf depth, mm',
  mostCelsius: 'Never over, °C',
  openBelow: 'Opened below, °C',
} as const;

/** The fields that are shown when two people changed a kiln. */
const LABELS = { name: 'Name', controller: 'Controller', ...NUMBERS } as const;

function differing(mine: Values, theirs: OverTheWire<Kiln>) {
  return (Object.keys(LABELS) as (keyof typeof LABELS)[])
    .map((field) => ({ name: LABELS[field], mine: String(mine[field]), theirs: String(theirs[field]) }))
    .filter((row) => row.mine !== row.theirs);
}

/** What a kiln is: for a new one, or to correct one. */
export function KilnForm({ kiln, onSaved }: { kiln: Kiln | null; onSaved: () => void }) {
  const form = useSavedForm<Values, KilnDraft, null, Kiln>({
    schema: kilnSchema,
    values: kiln ?? { id: ulid(), ...FIRST },
    draft: { key: `jiten.kiln.${kiln ? `${kiln.id}.${kiln.version}` : 'new'}` },
    under: 'kiln',
    version: kiln?.version ?? null,
    save: (typed, version) => saveKilnForm({ kiln: typed, version }),
    onSaved,
  });
  const { control, theirs } = form;
  return (
    <Form
      of={form}
      label="Kiln"
      className={page.form}
      button={kiln ? 'Save' : 'Add this kiln'}
      notice={
        theirs && (
          <ConflictNotice
            rows={differing(form.form.getValues(), theirs)}
            onKeepMine={() => void form.submit(theirs.version)}
          />
        )
      }
    >
      <TextInput control={control} name="name" label="Name" autoFocus />
      <ChoiceInput control={control} name="heat" label="Heat" options={KILN_HEATS} />
      {(Object.keys(NUMBERS) as (keyof typeof NUMBERS)[]).map((field) => (
        <NumberInput key={field} control={control} name={field} label={NUMBERS[field]} />
      ))}
      <SwitchInput control={control} name="roundShelves" label="Round shelves" />
      <TextInput
        control={control}
        name="controller"
        label="Address of its controller"
        hint="Empty when it is read by hand."
        className={page.wide}
      />
    </Form>
  );
}
