'use client';
import type { TextFieldProps } from '@mui/material/TextField';
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
  /** Decimals that are kept, in the unit of the house. */
  readonly digits?: number;
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
  ...rest
}: QuantityFieldProps) {
  const units = useUnits();
  // In the unit of the house nothing is rounded: what was typed is what is kept.
  const isPlain = shownValue(dimension, 1, units) === 1;
  const show = (kept: number) =>
    isPlain
      ? kept
      : Number(shownValue(dimension, kept, units).toFixed(shownDigits(dimension, digits, units)));
  const keep = (typed: number) =>
    isPlain ? typed : Number(typedValue(dimension, typed, units).toFixed(digits));
  return (
    <NumberField
      {...rest}
      label={`${label}, ${unitOf(dimension, units)}`}
      value={value === null || Number.isNaN(value) ? value : show(value)}
      onChange={(typed) => onChange(typed === null ? null : keep(typed))}
    />
  );
}
