'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useForm, type FieldPath } from 'react-hook-form';
import type { z } from 'zod';
import { CONES, FIRING_KINDS } from '@/core/firing';
import type { Kiln } from '@/records/firings';
import { Faults } from '@/ui/Faults';
import { useAct } from '@/ui/useAct';
import { saveFiringPlan } from './actions';
import css from './firings.module.css';
import { ATMOSPHERES, firingSchema } from './schema';

type Values = z.infer<typeof firingSchema>;

interface Props {
  readonly kilns: readonly Kiln[];
  readonly values: Values;
  readonly version: number | null;
  readonly onSaved: (id: string) => void;
}

/** Kiln, kind, cone, atmosphere and day of a firing. */
export function FiringForm({ kilns, values, version, onSaved }: Props) {
  const { register, handleSubmit, formState, setValue } = useForm<Values>({
    resolver: zodResolver(firingSchema),
    defaultValues: values,
  });
  const { act, busy, faults } = useAct();
  const save = handleSubmit(async (firing) => {
    if ((await act(() => saveFiringPlan({ firing, version }))) === null) onSaved(firing.id);
  });
  const choice = (
    name: FieldPath<Values>,
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
    <form onSubmit={(event) => void save(event)} className={css.form} aria-label="Firing">
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
      <TextField label="Programme or speed" {...register('programme')} className={css.wide} />
      <TextField label="Remarks" {...register('remarks')} multiline className={css.wide} />
      <div className={css.wide}>
        <Faults faults={faults} />
        <Button type="submit" variant="contained" disabled={busy}>
          {busy ? 'Saving' : version === null ? 'Plan this firing' : 'Save'}
        </Button>
      </div>
    </form>
  );
}
