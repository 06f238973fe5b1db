'use client';
import { useState } from 'react';
import { ulid } from 'ulid';
import { KILN_HEATS } from '@/core/vocabulary';
import { sayQuantity, spaceOf, type Dimension } from '@/core/units';
import type { Kiln, KilnDraft } from '@/records/firings';
import {
  ChoiceInput,
  ConflictNotice,
  Form,
  NumberInput,
  QuantityInput,
  SelectField,
  SwitchInput,
  TextInput,
  useSavedForm,
  type FormValues,
} from '@/ui/kit';
import { useUnits } from '@/ui/units';
import type { OverTheWire } from '@/ui/useMutation';
import { saveKilnForm } from '../actions';
import { USUAL_SIZES } from '../model/usualSizes';
import { kilnSchema } from '../schema';
import page from '@/ui/page.module.css';

/** A form of a kiln; what was not typed yet is blank, and its two limits begin at what is common. */
type Values = FormValues<Omit<KilnDraft, 'heat'>> & { heat: KilnDraft['heat'] | null };

const FIRST: Omit<Values, 'id'> = {
  name: '',
  heat: null,
  litres: null,
  shelves: null,
  controller: '',
  openBelow: 50,
  mostCelsius: 1300,
  shelfWidthMm: null,
  shelfDepthMm: null,
  roundShelves: true,
};

/** Counts and measures of a kiln; a measure is typed in the reader's units. */
const NUMBERS: readonly {
  readonly name: 'litres' | 'shelves' | 'shelfWidthMm' | 'shelfDepthMm' | 'mostCelsius' | 'openBelow';
  readonly label: string;
  readonly dimension?: Dimension;
}[] = [
  { name: 'litres', label: 'Volume', dimension: 'space' },
  { name: 'shelves', label: 'Shelves' },
  { name: 'shelfWidthMm', label: 'Shelf width', dimension: 'thickness' },
  { name: 'shelfDepthMm', label: 'Shelf depth', dimension: 'thickness' },
  { name: 'mostCelsius', label: 'Never over', dimension: 'temperature' },
  { name: 'openBelow', label: 'Opened below', dimension: 'temperature' },
];

/** The fields that are shown when two people changed a kiln. */
const COMPARED = [
  { name: 'name', label: 'Name' },
  { name: 'controller', label: 'Controller' },
  ...NUMBERS,
] as const;

function differing(mine: Values, theirs: OverTheWire<Kiln>) {
  return COMPARED.map(({ name, label }) => ({
    name: label,
    mine: String(mine[name]),
    theirs: String(theirs[name]),
  })).filter((row) => row.mine !== row.theirs);
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
  const units = useUnits();
  const [size, setSize] = useState('');
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
      {!kiln && (
        <SelectField
          label="Size"
          value={size}
          onChange={(name) => {
            setSize(name);
            for (const [field, value] of Object.entries(USUAL_SIZES[name] ?? {}))
              form.form.setValue(field as keyof Values, value);
          }}
          options={[
            ['', 'measured'],
            ...Object.entries(USUAL_SIZES).map(
              ([name, { litres }]) => [name, `${name}, ${sayQuantity(spaceOf(litres), units)}`] as const,
            ),
          ]}
        />
      )}
      {NUMBERS.map(({ name, label, dimension }) =>
        dimension ? (
          <QuantityInput key={name} {...{ control, name, label, dimension }} isWhole />
        ) : (
          <NumberInput key={name} {...{ control, name, label }} />
        ),
      )}
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
