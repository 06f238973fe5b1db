'use client';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useRef, useState } from 'react';
import { useUnits } from '../units';
import { readNumber, sayText, shortFigures } from '@/core/units';

/** What was made of a text in a field: a number, or what is wrong; null and nothing wrong for a blank. */
export interface ReadField {
  readonly value: number | null;
  readonly error: string | null;
  /** What was understood, when the text does not say it by itself. */
  readonly note?: string;
}

/** A number as people type it: comma or point for the decimals, or a fraction. */
export function readPlain(text: string): ReadField {
  return text.trim() === '' ? { value: null, error: null } : readNumber(text);
}

type Props = Omit<TextFieldProps, 'value' | 'onChange' | 'error'> & {
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
  readonly error?: string | undefined;
  /** Called when what is typed is no number; without it the last number stays. */
  readonly onNotANumber?: () => void;
  /** How a text is read; as a plain number otherwise. */
  readonly read?: (text: string) => ReadField;
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
 * A field for a number that keeps what was typed, comma decimals and fractions included, and says when it is none. What
 * was typed is forgotten when the owner sets another value, as after a save, or when the field is left with something
 * not taken.
 */
export function NumberField({
  value,
  onChange,
  error,
  onNotANumber,
  onFocus,
  onBlur,
  read = readPlain,
  ...rest
}: Props) {
  const [typed, setTyped] = useState<Typed | null>(null);
  const isFresh = useRef(false);
  if (typed && !typed.isTaken && Object.is(value, typed.told)) setTyped({ ...typed, isTaken: true });
  const text = typed && Object.is(value, typed.isTaken ? typed.told : typed.before) ? typed.text : null;
  const shown = text ?? (value === null || Number.isNaN(value) ? '' : shortFigures(value));
  const made = text === null ? null : read(text);
  const units = useUnits();
  const wrong = made?.error ?? (error && sayText(error, units));
  return (
    <TextField
      {...rest}
      value={shown}
      error={Boolean(wrong)}
      helperText={wrong ?? made?.note ?? rest.helperText}
      onChange={(event) => {
        const { value: number, error: isNone } = read(event.target.value);
        const told = isNone === null ? number : onNotANumber ? Number.NaN : value;
        setTyped({ text: event.target.value, told, before: value, isTaken: false });
        if (isNone === null) onChange(number);
        else onNotANumber?.();
      }}
      // What is typed takes the place of what stood there, also after a click.
      onFocus={(event) => {
        (event.target as HTMLInputElement).select();
        isFresh.current = true;
        onFocus?.(event);
      }}
      onMouseUp={(event) => {
        // The press that focused the field would set the caret and undo the selection.
        if (isFresh.current) event.preventDefault();
        isFresh.current = false;
      }}
      onBlur={(event) => {
        if (typed && !typed.isTaken) setTyped(null);
        onBlur?.(event);
      }}
      slotProps={{ htmlInput: { inputMode: 'decimal', className: 'figures' } }}
    />
  );
}
