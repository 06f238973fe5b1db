'use client';
import TextField from '@mui/material/TextField';

/** A fired colour, picked or typed as #rrggbb. */
export function ColourField({
  label,
  value,
  onChange,
  error,
}: {
  label: string;
  value: string;
  onChange: (hex: string) => void;
  error?: string | undefined;
}) {
  return (
    <TextField
      label={label}
      type="color"
      value={value}
      onChange={(event) => onChange(event.target.value)}
      error={Boolean(error)}
      helperText={error}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { style: { height: 24 } } }}
    />
  );
}
