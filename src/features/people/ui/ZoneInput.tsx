'use client';
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useController, type Control, type FieldPathByValue, type FieldValues } from 'react-hook-form';

/** The studio's time zone, found by typing a city. */
export function ZoneInput<V extends FieldValues>({
  control,
  name,
}: {
  readonly control: Control<V, unknown, never>;
  readonly name: FieldPathByValue<V, string | null>;
}) {
  const { field, fieldState } = useController({ control, name });
  const value: string | null = field.value;
  const zones = Intl.supportedValuesOf('timeZone');
  return (
    <Autocomplete
      size="small"
      options={value === null || zones.includes(value) ? zones : [value, ...zones]}
      value={value}
      onChange={(_, zone) => field.onChange(zone)}
      renderInput={(params) => (
        <TextField
          {...params}
          label="Time zone"
          inputRef={field.ref}
          error={Boolean(fieldState.error)}
          helperText={
            fieldState.error?.message ?? (value === null ? 'Until you choose: that of the server.' : '')
          }
        />
      )}
    />
  );
}
