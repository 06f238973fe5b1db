'use client';
import { useRouter } from 'next/navigation';
import { ulid } from 'ulid';
import { GLAZE_KINDS, METHODS, MOVEMENTS, SURFACES } from '@/core/vocabulary';
import type { Glaze } from '@/records/materials';
import css from '@/ui/cards.module.css';
import {
  Card,
  ChoiceInput,
  ColourInput,
  NumberInput,
  SwitchInput,
  TextInput,
  useSavedForm,
  YesNoInput,
} from '@/ui/kit';
import { saveGlazeCard } from '../actions';
import { blankGlaze } from '../model/blankGlaze';
import { glazeSchema } from '../schema';

/** What is said about one glaze; a new one when none is given. */
export function GlazeCard({ glaze }: { glaze: Glaze | null }) {
  const router = useRouter();
  const form = useSavedForm({
    schema: glazeSchema,
    values: glaze ?? blankGlaze(ulid()),
    draft: { key: `jiten.glaze.${glaze ? `${glaze.id}.${glaze.version}` : 'new'}` },
    under: 'glaze',
    version: glaze?.version ?? null,
    save: (typed, version) => saveGlazeCard({ glaze: typed, version }),
    onSaved: ({ id }) => {
      if (!glaze) router.push(`/glazes/${id}`);
    },
  });
  const { control } = form;
  return (
    <Card of={form} title={glaze ? glaze.name : 'New glaze'} button={glaze ? 'Save' : 'Add this glaze'}>
      <TextInput control={control} name="name" label="Name" />
      <TextInput control={control} name="also" label="People also call it" />
      <div className={css.pair}>
        <ChoiceInput control={control} name="kind" label="Kind" options={GLAZE_KINDS} />
        <ColourInput control={control} name="colour" label="Fired colour" />
        <ChoiceInput control={control} name="surface" label="Surface" options={SURFACES} none="not known" />
        <ChoiceInput
          control={control}
          name="movement"
          label="Movement"
          options={MOVEMENTS}
          none="not known"
        />
        <YesNoInput control={control} name="opaque" label="Covers" yes="opaque" no="see-through" />
        <ChoiceInput
          control={control}
          name="usualMethod"
          label="Usually put on by"
          options={METHODS}
          none="as it was last"
        />
        <NumberInput control={control} name="usualTimes" label="Usual times" />
      </div>
      <SwitchInput control={control} name="decorative" label="Decorative ware only" />
      <TextInput control={control} name="advice" label="Advice at the bucket" multiline minRows={2} />
      <TextInput control={control} name="caution" label="Caution" multiline />
    </Card>
  );
}
