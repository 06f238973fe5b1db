'use client';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useState } from 'react';

/** A number as people type it: comma or point for the decimals; null when blank, NaN when it is no number. */
export function parseNumber(text: string): number | null {
  const plain = text.trim().replace(/\s/g, '').replace(',', '.');
  return plain === '' ? null : Number(plain);
}

type Props = Omit<TextFieldProps, 'value' | 'onChange' | 'error'> & {
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
  readonly error?: string | undefined;
  /** Called when what is typed is no number; without it the last number stays. */
  readonly onNotANumber?: () => void;
};

/** A field for a number that keeps what was typed, comma decimals included, and says when it is none. */
export function NumberField({ value, onChange, error, onNotANumber, ...rest }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown =
    typed !== null && (parseNumber(typed) === value || Number.isNaN(parseNumber(typed)))
      ? typed
      : value === null || Number.isNaN(value)
        ? (typed ?? '')
        : String(value);
  const wrong = typed !== null && Number.isNaN(parseNumber(typed)) ? 'This is not a number.' : error;
  return (
    <TextField
      {...rest}
      value={shown}
      error={Boolean(wrong)}
      helperText={wrong}
      onChange={(event) => {
        setTyped(event.target.value);
        const number = parseNumber(event.target.value);
        if (Number.isNaN(number)) onNotANumber?.();
        else onChange(number);
      }}
      slotProps={{ htmlInput: { inputMode: 'decimal', className: 'figures' } }}
    />
  );
}
