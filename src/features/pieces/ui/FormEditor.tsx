'use client';
import Button from '@mui/material/Button';
import DeleteOutline from '@mui/icons-material/DeleteOutlined';
import IconButton from '@mui/material/IconButton';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useController, useFieldArray, useWatch } from 'react-hook-form';
import { ulid } from 'ulid';
import { firedLength, wetLength } from '@/core/clay';
import { piecesOfBag } from '@/core/rounds';
import { bulkOf, lengthOf, text, type Message } from '@/core/units';
import { FORMS, formShape, type Form as FormKind } from '@/core/vocabulary';
import type { StudioForm, StudioFormDraft } from '@/records/pieces';
import {
  ChoiceInput,
  Form,
  FormErrors,
  QuantityField,
  QuantityInput,
  SelectField,
  TextInput,
  useSavedForm,
} from '@/ui/kit';
import type { FormValues, SavedForm } from '@/ui/kit';
import { Said } from '@/ui/units';
import { useMutation } from '@/ui/useMutation';
import cards from '@/ui/cards.module.css';
import { endForm, saveFormCard } from '../actions';
import { atFullWidth, thinnedProfile } from '../model/profile';
import { studioFormSchema } from '../schema';
import { ProfileEditor, sheetHeight } from './ProfileEditor';
import css from './forms.module.css';

/** A clay by how far it shrinks. */
export interface ShrinkingClay {
  readonly id: string;
  readonly name: string;
  /** Percent, wet to fired. */
  readonly shrinkage: number;
}

interface Props {
  readonly form: StudioForm | null;
  /** The form of the library that a new one begins as. */
  readonly like: FormKind;
  readonly clays: readonly ShrinkingClay[];
}

type Values = FormValues<StudioFormDraft>;
type Saved = SavedForm<Values>;

const NOT_MEASURED = { heightMm: null, widthMm: null };

/** Between two points that are dragged, px. */
const FINGER = 28;

function newForm(form: FormKind): StudioFormDraft {
  const { profile, heightMm, widthMm, plan } = formShape(form);
  const sizes = { thrown: NOT_MEASURED, trimmed: NOT_MEASURED };
  // What lies flat is told by its parts, not by a silhouette.
  const own = plan ? formShape('bowl').profile : profile;
  const least = FINGER / sheetHeight(heightMm, widthMm);
  return {
    ...{ id: ulid(), name: '', form, profile: thinnedProfile(own, least), heightMm, widthMm },
    ...{ clayGrams: null, sizes, bands: [], note: '' },
  };
}

/** A form of the studio's own: its silhouette, sizes from the wheel to the shelf, and usual bands. */
export function FormEditor({ form, like, clays }: Props) {
  const router = useRouter();
  const saved = useSavedForm<Values, StudioFormDraft, null>({
    schema: studioFormSchema,
    values: form ?? newForm(like),
    draft: { key: `jiten.form.${form ? `${form.id}.${form.version}` : `new.${like}`}` },
    under: 'form',
    version: form?.version ?? null,
    save: (typed, version) =>
      saveFormCard({ form: { ...typed, profile: atFullWidth(typed.profile) }, version }),
    onSaved: () => router.push('/pieces/forms'),
  });
  const { control } = saved;
  const { run, isBusy, errors } = useMutation();
  const archive = async () => {
    if ((await run(() => endForm({ id: form!.id, isEnded: true }))) !== undefined)
      router.push('/pieces/forms');
  };
  const { field: profile } = useController({ control, name: 'profile' });
  const [heightMm, widthMm] = useWatch({ control, name: ['heightMm', 'widthMm'] });
  return (
    <div className={css.editor}>
      <ProfileEditor
        profile={profile.value}
        heightMm={heightMm || 100}
        widthMm={widthMm || 100}
        onChange={profile.onChange}
      />
      <Form
        of={saved}
        label={form ? form.name : 'New form'}
        className={cards.card}
        button={form ? 'Save form' : 'Add this form'}
      >
        <TextInput control={control} name="name" label="Name" />
        <ChoiceInput control={control} name="form" label="Based on" options={STANDING} />
        <QuantityInput control={control} name="clayGrams" label="Clay for one" dimension="bulk" />
        <OfABag of={saved} />
        <Sizes of={saved} clays={clays} />
        <Bands of={saved} />
        <TextInput control={control} name="note" label="Note" multiline minRows={2} />
        {form && (
          <Button disabled={isBusy} onClick={() => void archive()}>
            Archive this form
          </Button>
        )}
        <FormErrors errors={errors} />
      </Form>
    </div>
  );
}

/** A bag of clay as it is sold, g (common practice, no source). */
const BAG = 12_500;

/** How many of the form a bag of clay gives. */
function OfABag({ of: { control } }: { readonly of: Saved }) {
  const grams = useWatch({ control, name: 'clayGrams' });
  if (!grams || grams > BAG) return null;
  return (
    <p className="small quiet">
      <Said of={text`A bag of ${bulkOf(BAG)} gives ${String(piecesOfBag(BAG, grams))}.`} />
    </p>
  );
}

/** Forms with a silhouette of their own. */
const STANDING = FORMS.filter((form) => !formShape(form).plan);

/** Thrown, trimmed and finished; of the first and the last a clay's shrinkage gives the one that is missing. */
function Sizes({ of, clays }: { readonly of: Saved; readonly clays: readonly ShrinkingClay[] }) {
  const { control, form } = of;
  const [clayId, setClayId] = useState('');
  const clay = clays.find(({ id }) => id === clayId);
  const [thrown, heightMm, widthMm] = useWatch({ control, name: ['sizes.thrown', 'heightMm', 'widthMm'] });
  const said = (height: number, width: number) => text`${lengthOf(height)} high, ${lengthOf(width)} wide`;
  return (
    <>
      <div className={css.sizes}>
        <span>Thrown</span>
        <QuantityInput control={control} name="sizes.thrown.heightMm" label="Height" dimension="length" />
        <QuantityInput control={control} name="sizes.thrown.widthMm" label="Width" dimension="length" />
        <span>Trimmed</span>
        <QuantityInput control={control} name="sizes.trimmed.heightMm" label="Height" dimension="length" />
        <QuantityInput control={control} name="sizes.trimmed.widthMm" label="Width" dimension="length" />
        <span>Fired</span>
        <QuantityInput control={control} name="heightMm" label="Height" dimension="length" />
        <QuantityInput control={control} name="widthMm" label="Width" dimension="length" />
      </div>
      {clays.length > 0 && (
        <SelectField
          label="Clay shrinkage"
          value={clayId}
          onChange={setClayId}
          options={[
            ['', 'no clay'],
            ...clays.map(({ id, name, shrinkage }) => [id, `${name}, ${shrinkage} %`] as const),
          ]}
        />
      )}
      {clay && thrown.heightMm && thrown.widthMm && (
        <Filled
          words={said(
            firedLength(thrown.heightMm, clay.shrinkage),
            firedLength(thrown.widthMm, clay.shrinkage),
          )}
          name="Fired"
          onUse={() => {
            form.setValue('heightMm', firedLength(thrown.heightMm!, clay.shrinkage), { shouldDirty: true });
            form.setValue('widthMm', firedLength(thrown.widthMm!, clay.shrinkage), { shouldDirty: true });
          }}
        />
      )}
      {clay && heightMm && widthMm && (!thrown.heightMm || !thrown.widthMm) && (
        <Filled
          words={said(wetLength(heightMm, clay.shrinkage), wetLength(widthMm, clay.shrinkage))}
          name="Thrown"
          onUse={() => {
            form.setValue('sizes.thrown.heightMm', wetLength(heightMm, clay.shrinkage), {
              shouldDirty: true,
            });
            form.setValue('sizes.thrown.widthMm', wetLength(widthMm, clay.shrinkage), { shouldDirty: true });
          }}
        />
      )}
    </>
  );
}

/** A size that follows from another, offered. */
function Filled({
  name,
  words,
  onUse,
}: {
  readonly name: string;
  readonly words: Message;
  readonly onUse: () => void;
}) {
  return (
    <p className="small">
      {name} in this clay: <Said of={words} />.{' '}
      <Button size="small" onClick={onUse}>
        Use it
      </Button>
    </p>
  );
}

/** Bands that are usual on it. */
function Bands({ of }: { readonly of: Saved }) {
  const { fields, append, remove } = useFieldArray({ control: of.control, name: 'bands' });
  return (
    <div role="group" aria-label="Usual bands">
      {fields.map((band, i) => (
        <div key={band.id} className={css.band}>
          <TextInput control={of.control} name={`bands.${i}.name`} label="Usual band" />
          <BandEdge of={of} name={`bands.${i}.from`} label="From" />
          <BandEdge of={of} name={`bands.${i}.to`} label="To" />
          <IconButton size="small" aria-label={`Remove band ${i + 1}`} onClick={() => remove(i)}>
            <DeleteOutline fontSize="small" />
          </IconButton>
        </div>
      ))}
      <Button size="small" onClick={() => append({ name: '', from: 0, to: 1 })}>
        Add a usual band
      </Button>
    </div>
  );
}

/** Where a band begins or ends, as a length; kept as a share of the height. */
function BandEdge({
  of: { control },
  name,
  label,
}: {
  readonly of: Saved;
  readonly name: `bands.${number}.from` | `bands.${number}.to`;
  readonly label: string;
}) {
  const { field, fieldState } = useController({ control, name });
  const heightMm = useWatch({ control, name: 'heightMm' }) || 100;
  return (
    <QuantityField
      dimension="length"
      label={label}
      value={Number.isFinite(field.value) ? Number((field.value * heightMm).toFixed(3)) : null}
      onChange={(mm) => field.onChange(mm === null ? Number.NaN : mm / heightMm)}
      error={fieldState.error?.message}
    />
  );
}
