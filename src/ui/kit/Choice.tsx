'use client';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

interface Props<T extends string> {
  readonly label: string;
  readonly options: readonly T[];
  readonly value: T | null;
  readonly onChange: (value: T | null) => void;
  /** The word for "none of them"; absent when one must be chosen. */
  readonly none?: string;
  readonly error?: string | undefined;
}

/** One of a few words. */
export function Choice<T extends string>({ label, options, value, onChange, none, error }: Props<T>) {
  return (
    <TextField
      select
      label={label}
      value={value ?? ''}
      onChange={(event) => onChange((event.target.value || null) as T | null)}
      error={Boolean(error)}
      helperText={error}
    >
      {none && <MenuItem value="">{none}</MenuItem>}
      {options.map((option) => (
        <MenuItem key={option} value={option}>
          {option}
        </MenuItem>
      ))}
    </TextField>
  );
}
