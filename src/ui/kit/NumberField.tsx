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

/** What is in the field, and what its owner has made of it. */
interface Typed {
  readonly text: string;
  /** What was told to the owner. */
  readonly told: number | null;
  /** The value that stood before. */
  readonly before: number | null;
  /** Whether the owner took it over; one that is out of range is not taken, and the old value comes back on leaving. */
  readonly isTaken: boolean;
}

/**
 * A field for a number that keeps what was typed, comma decimals included, and says when it is none. What was typed is
 * forgotten when the owner sets another value, as after a save, or when the field is left with something not taken.
 */
export function NumberField({ value, onChange, error, onNotANumber, onBlur, ...rest }: Props) {
  const [typed, setTyped] = useState<Typed | null>(null);
  if (typed && !typed.isTaken && Object.is(value, typed.told)) setTyped({ ...typed, isTaken: true });
  const text = typed && Object.is(value, typed.isTaken ? typed.told : typed.before) ? typed.text : null;
  const shown = text ?? (value === null || Number.isNaN(value) ? '' : String(value));
  const wrong = text !== null && Number.isNaN(parseNumber(text)) ? 'This is not a number.' : error;
  return (
    <TextField
      {...rest}
      value={shown}
      error={Boolean(wrong)}
      helperText={wrong}
      onChange={(event) => {
        const number = parseNumber(event.target.value);
        const isNumber = !Number.isNaN(number);
        const told = isNumber || onNotANumber ? number : value;
        setTyped({ text: event.target.value, told, before: value, isTaken: false });
        if (isNumber) onChange(number);
        else onNotANumber?.();
      }}
      onBlur={(event) => {
        if (typed && !typed.isTaken) setTyped(null);
        onBlur?.(event);
      }}
      slotProps={{ htmlInput: { inputMode: 'decimal', className: 'figures' } }}
    />
  );
}
