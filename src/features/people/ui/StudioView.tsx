'use client';
import type { StudioSettings } from '@/records/people';
import { ConflictNotice, Form, PageHeader, SelectInput, TextInput, useSavedForm } from '@/ui/kit';
import { saveStudio } from '../actions';
import { UNIT_ROWS } from '../model/unitRows';
import { studioSchema } from '../schema';
import page from '@/ui/page.module.css';
import css from './people.module.css';

/** What is said of the studio as a whole. */
export function StudioView({ studio, version }: { studio: StudioSettings; version: number }) {
  const form = useSavedForm<StudioSettings, StudioSettings, null, { value: StudioSettings; version: number }>(
    {
      schema: studioSchema,
      values: studio,
      draft: { key: `jiten.studio.${version}` },
      under: 'studio',
      version,
      save: (typed, over) => saveStudio({ studio: typed, version: over! }),
    },
  );
  const { control, theirs } = form;
  return (
    <>
      <PageHeader first={studio.name || 'Studio'}>
        <h1>Studio</h1>
      </PageHeader>
      <Form
        of={form}
        label="Studio"
        className={`${page.form} ${css.studio}`}
        button="Save"
        notice={
          theirs && (
            <ConflictNotice
              rows={[{ name: 'Name', mine: form.form.getValues('name'), theirs: theirs.value.name }]}
              onKeepMine={() => void form.submit(theirs.version)}
            />
          )
        }
      >
        <TextInput control={control} name="name" label="Name of the studio" className={page.wide} />
        {UNIT_ROWS.map(({ name, label, options }) => (
          <SelectInput key={name} control={control} name={`units.${name}`} label={label} options={options} />
        ))}
      </Form>
      <p className="small quiet">
        Members see these units until they choose their own on their account page. Records stay metric.
      </p>
    </>
  );
}
