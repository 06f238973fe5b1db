'use client';
import type { TextFieldProps } from '@mui/material/TextField';
import { shownValue, typedValue, unitOf, type Dimension } from '@/core/units';
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
  const to = (n: number, places: number) => Number(n.toFixed(places));
  const shown = value === null || Number.isNaN(value) ? value : shownValue(dimension, value, units);
  return (
    <NumberField
      {...rest}
      label={`${label}, ${unitOf(dimension, units)}`}
      value={shown === null || Number.isNaN(shown) ? shown : to(shown, digits + (shown === value ? 3 : 0))}
      onChange={(typed) => onChange(typed === null ? null : to(typedValue(dimension, typed, units), digits))}
    />
  );
}
