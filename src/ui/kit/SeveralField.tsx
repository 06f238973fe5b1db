'use client';
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';

interface Props<T extends string> {
  readonly label: string;
  readonly options: readonly T[];
  readonly value: readonly T[];
  readonly onChange: (value: readonly T[]) => void;
  readonly className?: string | undefined;
}

/** Several of a short list of words, or none. */
export function SeveralField<T extends string>({ label, options, value, onChange, className }: Props<T>) {
  return (
    <Autocomplete
      multiple
      className={className ?? ''}
      disableCloseOnSelect
      size="small"
      options={options}
      value={[...value]}
      onChange={(_, next) => onChange(next)}
      renderInput={(params) => <TextField {...params} label={label} />}
    />
  );
}
