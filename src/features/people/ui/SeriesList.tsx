'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Series, SeriesUse } from '@/records/platform';
import { Form, FormErrors, NumberInput, SelectInput, TextInput, useSavedForm } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { removeSeries, saveSeries } from '../actions';
import { seriesSchema } from '../schema';
import page from '@/ui/page.module.css';
import css from './people.module.css';

const USES: readonly (readonly [SeriesUse, string])[] = [
  ['usual', 'all pieces'],
  ['rounds', 'tests of rounds'],
  ['chosen', 'pieces chosen for it'],
];

/** The series of numbers under the feet of pieces, and a form for another. */
export function SeriesList({ series }: { readonly series: readonly Series[] }) {
  const [isAdding, setIsAdding] = useState(false);
  return (
    <section aria-label="Piece numbers" className={css.section}>
      <h2>Piece numbers</h2>
      <p className="small quiet">Pieces that are there keep their numbers.</p>
      {series.map((one) => (
        <SeriesForm key={`${one.prefix} ${one.next} ${one.use}`} series={one} />
      ))}
      {isAdding ? (
        <SeriesForm series={null} onSaved={() => setIsAdding(false)} />
      ) : (
        <Button onClick={() => setIsAdding(true)}>Add a series</Button>
      )}
    </section>
  );
}

/** The letters, the next number and the pieces of a series; a blank form for a new one. */
function SeriesForm({ series, onSaved }: { readonly series: Series | null; readonly onSaved?: () => void }) {
  const form = useSavedForm({
    schema: seriesSchema,
    values: { prefix: series?.prefix ?? '', next: series?.next ?? 1, use: series?.use ?? 'chosen' },
    under: 'series',
    save: (typed) => saveSeries({ series: typed, before: series?.prefix ?? null }),
    ...(onSaved && { onSaved }),
  });
  const { run, isBusy, errors } = useMutation();
  const name = series ? `Series ${series.prefix}` : 'New series';
  return (
    <>
      <Form
        of={form}
        label={name}
        button={series ? 'Save' : 'Add this series'}
        className={`${page.form} ${css.series}`}
        beside={
          series && series.use !== 'usual' ? (
            <Button disabled={isBusy} onClick={() => void run(() => removeSeries({ prefix: series.prefix }))}>
              Remove
            </Button>
          ) : null
        }
      >
        <TextInput control={form.control} name="prefix" label="Letters" />
        <NumberInput control={form.control} name="next" label="Next number" />
        <SelectInput control={form.control} name="use" label="For" options={USES} />
      </Form>
      <FormErrors errors={errors} />
    </>
  );
}
