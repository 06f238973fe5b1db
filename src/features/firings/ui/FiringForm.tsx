'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import dayjs from 'dayjs';
import { useForm, type FieldPath } from 'react-hook-form';
import { ulid } from 'ulid';
import type { z } from 'zod';

import { CONES, FIRING_KINDS, ATMOSPHERES } from '@/core/vocabulary';
import { saySegments } from '@/core/firing';
import type { Firing, Kiln, Programme } from '@/records/firings';
import { FormErrors } from '@/ui/FormErrors';
import { useMutation } from '@/ui/useMutation';
import { saveFiringPlan } from '../actions';
import page from '@/ui/page.module.css';
import { firingSchema } from '../schema';

type Values = z.infer<typeof firingSchema>;

interface Props {
  readonly kilns: readonly Kiln[];
  readonly programmes: readonly Programme[];
  readonly values: Values;
  readonly version: number | null;
  readonly onSaved: (id: string) => void;
}

/** What a new firing of a kiln most likely is: its last one over again, today. */
export function firstPlan(kiln: Kiln, last: Firing | undefined): Values {
  return {
    id: ulid(),
    kilnId: kiln.id,
    kind: 'glaze',
    cone: last?.kind === 'glaze' ? last.cone : '6',
    atmosphere: last?.atmosphere ?? 'oxidation',
    plannedOn: dayjs().format('YYYY-MM-DD'),
    startsAt: last?.startsAt ?? '18:00',
    programmeId: last?.programmeId ?? null,
    segments: last?.segments ? [...last.segments] : null,
    programme: last?.programme ?? '',
    remarks: '',
  };
}

/** Kiln, kind, cone, atmosphere, day and programme of a firing. */
export function FiringForm({ kilns, programmes, values, version, onSaved }: Props) {
  const { register, handleSubmit, formState, setValue } = useForm<Values>({
    resolver: zodResolver(firingSchema),
    defaultValues: values,
  });
  const { run, isBusy, errors } = useMutation();
  const save = handleSubmit(async (firing) => {
    if ((await run(() => saveFiringPlan({ firing, version }))) === null) onSaved(firing.id);
  });
  const choice = (
    name: Exclude<FieldPath<Values>, `segments${string}`>,
    label: string,
    options: readonly (readonly [string, string])[],
  ) => (
    <TextField
      select
      label={label}
      defaultValue={values[name]}
      slotProps={{ htmlInput: register(name) }}
      onChange={(event) => setValue(name, event.target.value)}
      error={Boolean(formState.errors[name])}
      helperText={formState.errors[name]?.message}
    >
      {options.map(([value, text]) => (
        <MenuItem key={value} value={value}>
          {text}
        </MenuItem>
      ))}
    </TextField>
  );
  const same = (list: readonly string[]) => list.map((one) => [one, one] as const);
  return (
    <form onSubmit={(event) => void save(event)} className={page.form} aria-label="Firing">
      {choice(
        'kilnId',
        'Kiln',
        kilns.map((kiln) => [kiln.id, kiln.name] as const),
      )}
      {choice('kind', 'Kind', same(FIRING_KINDS))}
      {choice(
        'cone',
        'Target cone',
        [...CONES].reverse().map((cone) => [cone, cone] as const),
      )}
      {choice('atmosphere', 'Atmosphere', same(ATMOSPHERES))}
      <TextField
        label="Day"
        type="date"
        {...register('plannedOn')}
        error={Boolean(formState.errors.plannedOn)}
        helperText={formState.errors.plannedOn?.message}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <TextField
        label="Starts at"
        type="time"
        {...register('startsAt')}
        error={Boolean(formState.errors.startsAt)}
        helperText={formState.errors.startsAt?.message}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <TextField
        select
        label="Programme"
        defaultValue={values.programmeId ?? ''}
        onChange={(event) => {
          const chosen = programmes.find(({ id }) => id === event.target.value);
          setValue('programmeId', chosen?.id ?? null);
          setValue('segments', chosen ? [...chosen.segments] : null);
          if (chosen) setValue('programme', `${chosen.name}: ${saySegments(chosen.segments)}`);
        }}
      >
        <MenuItem value="">by hand</MenuItem>
        {programmes.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label="Programme or speed in words"
        {...register('programme')}
        className={page.wide}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <TextField label="Remarks" {...register('remarks')} multiline className={page.wide} />
      <div className={page.wide}>
        <FormErrors errors={errors} />
        <Button type="submit" variant="contained" disabled={isBusy}>
          {isBusy ? 'Saving' : version === null ? 'Plan this firing' : 'Save'}
        </Button>
      </div>
    </form>
  );
}
