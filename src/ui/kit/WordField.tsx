'use client';
import TextField, { type TextFieldProps } from '@mui/material/TextField';

type Props = Omit<TextFieldProps, 'value' | 'onChange' | 'error' | 'helperText'> & {
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly error?: string | undefined;
  /** Said below while nothing is wrong. */
  readonly hint?: string;
};

/** A field for words, with what is wrong with them said below. */
export function WordField({ value, onChange, error, hint, ...rest }: Props) {
  return (
    <TextField
      {...rest}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      error={Boolean(error)}
      helperText={error || hint}
    />
  );
}
