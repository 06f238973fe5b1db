'use client';
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';

interface Props {
  readonly label: string;
  readonly list: readonly { readonly id: string; readonly name: string }[];
  /** Ids; those that are not in the list are left out. */
  readonly chosen: readonly string[];
  readonly onChange: (ids: string[]) => void;
}

/** Several of a list of things that have a name. */
export function Several({ label, list, chosen, onChange }: Props) {
  return (
    <Autocomplete
      multiple
      options={list.map(({ id }) => id)}
      getOptionLabel={(id) => list.find((one) => one.id === id)?.name ?? '?'}
      value={chosen.filter((id) => list.some((one) => one.id === id))}
      onChange={(_, next) => onChange(next)}
      disableCloseOnSelect
      renderInput={(params) => <TextField {...params} label={label} />}
    />
  );
}
