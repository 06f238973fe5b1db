'use client';
import { useRouter } from 'next/navigation';
import { ulid } from 'ulid';
import { CONES } from '@/core/vocabulary';
import type { Body } from '@/records/materials';
import css from '@/ui/cards.module.css';
import { Card, ChoiceInput, ColourInput, NumberInput, SwitchInput, TextInput, useSavedForm } from '@/ui/kit';
import { saveBodyCard } from '../actions';
import { blankBody } from '../model/blankBody';
import { bodySchema } from '../schema';

/** What is known of one clay; a new one when none is given. */
export function BodyCard({ body }: { body: Body | null }) {
  const router = useRouter();
  const form = useSavedForm({
    schema: bodySchema,
    values: body ?? blankBody(ulid()),
    draft: { key: `jiten.clay.${body ? `${body.id}.${body.version}` : 'new'}` },
    under: 'body',
    version: body?.version ?? null,
    save: (typed, version) => saveBodyCard({ body: typed, version }),
    onSaved: ({ id }) => {
      if (!body) router.push(`/clays/${id}`);
    },
  });
  const { control } = form;
  return (
    <Card of={form} title={body ? body.name : 'New clay'} button={body ? 'Save' : 'Add this clay'}>
      <TextInput control={control} name="name" label="Name" />
      <div className={css.pair}>
        <ColourInput control={control} name="colourOxidation" label="Colour, oxidation" />
        <ColourInput control={control} name="colourReduction" label="Colour, reduction" />
        <ChoiceInput control={control} name="coneFrom" label="From cone" options={CONES} none="not known" />
        <ChoiceInput control={control} name="coneTo" label="To cone" options={CONES} none="not known" />
        <ChoiceInput
          control={control}
          name="iron"
          label="Iron"
          options={['none', 'low', 'high']}
          none="not known"
        />
        <NumberInput control={control} name="shrinkage" label="Shrinkage, %" />
        <NumberInput control={control} name="absorption" label="Absorption, %" />
        <NumberInput control={control} name="expansion" label="Expansion, 1e-6/K" />
      </div>
      <SwitchInput control={control} name="coarse" label="Coarse or grogged" />
      <TextInput control={control} name="note" label="Note" multiline minRows={2} />
    </Card>
  );
}
