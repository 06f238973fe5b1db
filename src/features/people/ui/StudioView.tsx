'use client';
import { useState } from 'react';
import { DATE_STYLES } from '@/core/time';
import { ATMOSPHERES, CONES, FORMS } from '@/core/vocabulary';
import type { StudioDevice, StudioSettings } from '@/records/people';
import {
  ConflictNotice,
  Form,
  PageHeader,
  SelectInput,
  SeveralInput,
  SwitchInput,
  TextInput,
  useSavedForm,
} from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { saveStudio } from '../actions';
import { UNIT_ROWS } from '../model/unitRows';
import { studioSchema } from '../schema';
import { Devices } from './Devices';
import type { Series } from '@/records/platform';
import { SeriesList } from './SeriesList';
import { Logo } from './Logo';
import { ZoneInput } from './ZoneInput';
import page from '@/ui/page.module.css';
import css from './people.module.css';

interface Props {
  readonly studio: StudioSettings;
  readonly version: number;
  /** The clays a new piece may start with. */
  readonly bodies: readonly { readonly id: string; readonly name: string }[];
  readonly series: readonly Series[];
  /** The picture at the head of prints, by its content hash. */
  readonly logo: string | null;
  readonly devices: readonly StudioDevice[];
  /** The device in hand, when it is the studio's. */
  readonly deviceId: string | null;
}

type Settings = Omit<StudioSettings, 'cones' | 'atmospheres'> & {
  cones: StudioSettings['cones'][number][];
  atmospheres: StudioSettings['atmospheres'][number][];
};

/** What is said of the studio as a whole. */
export function StudioView({ studio, version, bodies, series, logo, devices, deviceId }: Props) {
  const [said, setSaid] = useState('');
  const form = useSavedForm<Settings, Settings, null, { value: StudioSettings; version: number }>({
    schema: studioSchema,
    values: { ...studio, cones: [...studio.cones], atmospheres: [...studio.atmospheres] },
    draft: { key: `jiten.studio.${version}` },
    under: 'studio',
    version,
    save: (typed, over) => {
      setSaid('');
      return saveStudio({ studio: typed, version: over! });
    },
    onSaved: (typed) => {
      form.form.reset(typed);
      setSaid('Saved.');
    },
  });
  const { control, theirs } = form;
  const named = bodies.map(({ id, name }) => [id, name] as const);
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
        beside={<span role="status">{said}</span>}
        notice={
          theirs && (
            <ConflictNotice
              rows={[
                { name: 'Name', mine: form.form.getValues('name'), theirs: theirs.value.name },
                {
                  name: 'Time zone',
                  mine: form.form.getValues('zone') ?? '',
                  theirs: theirs.value.zone ?? '',
                },
              ]}
              onKeepMine={() => void form.submit(theirs.version)}
            />
          )
        }
      >
        <TextInput control={control} name="name" label="Name of the studio" className={page.wide} />
        <ZoneInput control={control} name="zone" />
        <SelectInput
          control={control}
          name="dates"
          label="Dates and times"
          options={DATE_STYLES.map((style) => [style, style] as const)}
        />
        <SelectInput
          control={control}
          name="decimals"
          label="Numbers"
          options={[
            ['.', '1.5'],
            [',', '1,5'],
          ]}
        />
        {UNIT_ROWS.map(({ name, label, options }) => (
          <SelectInput key={name} control={control} name={`units.${name}`} label={label} options={options} />
        ))}
        <p className={`small quiet ${page.wide}`}>
          Members see these units until they choose their own on their account page.
        </p>
        <SeveralInput
          control={control}
          name="cones"
          label="Cones fired here, bisque too"
          options={CONES}
          className={page.wide}
        />
        <SeveralInput
          control={control}
          name="atmospheres"
          label="Atmospheres fired here"
          options={ATMOSPHERES}
          className={page.wide}
        />
        <p className={`small quiet ${page.wide}`}>
          Only these are offered in lists; name none to be offered all.
        </p>
        <SelectInput
          control={control}
          name="form"
          label="A member’s first piece starts as"
          options={[['', 'nothing chosen'], ...FORMS.map((one) => [one, one] as const)]}
        />
        <SelectInput
          control={control}
          name="bodyId"
          label="of this clay"
          options={[['', 'nothing chosen'], ...named]}
        />
        <p className={`small quiet ${page.wide}`}>After that a new piece starts as its maker’s last one.</p>
        <div className={page.wide}>
          <SwitchInput control={control} name="isFactorRequired" label="Technicians need a second factor" />
        </div>
      </Form>
      <p className={css.section}>
        <LinkButton href="/kilns/queue">Opening hours and quiet hours</LinkButton>
      </p>
      <SeriesList series={series} />
      <Logo hash={logo} />
      <Devices devices={devices} deviceId={deviceId} />
    </>
  );
}
