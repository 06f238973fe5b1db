'use client';
import type { TextFieldProps } from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import {
  gallonsOf,
  readMeasure,
  sayQuantity,
  shownDigits,
  shownValue,
  keptValue,
  unitOf,
  type Dimension,
  type MeasureKind,
  type Units,
} from '@/core/units';
import { useUnits } from '../units';
import { NumberField, readPlain, type ReadField } from './NumberField';

export interface QuantityFieldProps extends Omit<TextFieldProps, 'value' | 'onChange' | 'error' | 'label'> {
  readonly dimension: Dimension;
  /** What is measured; the unit is put behind it. */
  readonly label: string;
  /** In the unit of the dimension inside the house. */
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
  /** Decimals that are shown, in the unit of the house; another unit shows as many as say as much. */
  readonly digits?: number;
  /** Whether only whole numbers in the unit of the house are kept. */
  readonly isWhole?: boolean;
  readonly error?: string | undefined;
  readonly onNotANumber?: () => void;
}

/** What a text with a unit is read as; a step is a difference, as a rate is. Areas are reckoned, never typed. */
const KINDS: Readonly<Record<Dimension, MeasureKind | null>> = {
  temperature: 'temperature',
  temperatureStep: 'rate',
  rate: 'rate',
  length: 'length',
  thickness: 'length',
  area: null,
  shelfArea: null,
  mass: 'weight',
  bulk: 'weight',
  pour: 'volume',
  volume: 'volume',
  space: 'volume',
};
const ML_PER_LITRE = 1000;

/** Reads a text as a number in the reader's unit of a dimension; one with a unit of its own is converted and said. */
export function readIn(dimension: Dimension, units: Units): (text: string) => ReadField {
  return (text) => {
    const plain = readPlain(text);
    const kind = KINDS[dimension];
    if (plain.error === null || kind === null || !/[^\d\s.,/+-]/.test(text)) return plain;
    const { measure, error } = readMeasure(text, kind, gallonsOf(units));
    if (error !== null) return { value: null, error };
    const value = dimension === 'space' ? measure.canonical / ML_PER_LITRE : measure.canonical;
    const digits = dimension === 'length' ? 1 : shownDigits(dimension, 0, units);
    return {
      value: shownValue(dimension, value, units),
      error: null,
      note: `= ${sayQuantity({ dimension, value, digits }, units)}`,
    };
  };
}

/** A field for a quantity, typed and shown in the reader's units; any other unit may be typed behind the number. */
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
    const inHouse = keptValue(dimension, typed, units);
    const kept = isWhole ? Math.round(inHouse) : inHouse;
    setLast({ typed, kept });
    onChange(kept);
  };
  const isAsTyped = last !== null && Object.is(last.kept, value);
  return (
    <NumberField
      {...rest}
      read={useMemo(() => readIn(dimension, units), [dimension, units])}
      label={`${label}, ${unitOf(dimension, units)}`}
      value={value === null || Number.isNaN(value) ? value : isAsTyped ? last.typed : show(value)}
      onChange={keep}
    />
  );
}
