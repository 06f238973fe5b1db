'use client';
import type { TextFieldProps } from '@mui/material/TextField';
import { useState } from 'react';
import { shownDigits, shownValue, typedValue, unitOf, type Dimension } from '@/core/units';
import { useUnits } from '../units';
import { NumberField } from './NumberField';

export interface QuantityFieldProps extends Omit<TextFieldProps, 'value' | 'onChange' | 'error' | 'label'> {
  readonly dimension: Dimension;
  /** What is measured; the unit is put behind it. */
  readonly label: string;
  /** In the unit of the dimension inside the house. */
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
  /** Decimals in the unit of the house; another unit keeps one more, so that what was typed in it can be read back. */
  readonly digits?: number;
  /** Whether only whole numbers in the unit of the house are kept. */
  readonly isWhole?: boolean;
  readonly error?: string | undefined;
  readonly onNotANumber?: () => void;
}

/** A field for a quantity, typed and shown in the reader's units. */
export function QuantityField({
  dimension,
  label,
  value,
  onChange,
  digits = 0,
  isWhole = false,
  ...rest
}: QuantityFieldProps) {
  const units = useUnits();
  // What was typed last and what is kept of it: the field goes on showing it as it was typed.
  const [last, setLast] = useState<{ readonly typed: number; readonly kept: number } | null>(null);
  // In the unit of the house nothing is rounded: what was typed is what is kept.
  const isPlain = shownValue(dimension, 1, units) === 1;
  const show = (kept: number) =>
    isPlain
      ? kept
      : Number(shownValue(dimension, kept, units).toFixed(shownDigits(dimension, digits, units)));
  const keep = (typed: number | null) => {
    if (typed === null || isPlain) return onChange(typed);
    const kept = Number(typedValue(dimension, typed, units).toFixed(isWhole ? 0 : digits + 1));
    setLast({ typed, kept });
    onChange(kept);
  };
  const isAsTyped = last !== null && Object.is(last.kept, value);
  return (
    <NumberField
      {...rest}
      label={`${label}, ${unitOf(dimension, units)}`}
      value={value === null || Number.isNaN(value) ? value : isAsTyped ? last.typed : show(value)}
      onChange={keep}
    />
  );
}
