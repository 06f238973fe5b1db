import { G_PER_POUND, MM_PER_INCH } from './measure';

/** What a number measures. Each has one unit inside the house and is shown in the reader's. */
export type Dimension =
  /** °C */
  | 'temperature'
  /** A difference of temperatures, K. */
  | 'temperatureStep'
  /** °C/h */
  | 'rate'
  /** Of ware, mm; said in centimetres. */
  | 'length'
  /** Of coats and gaps, mm; said in millimetres. */
  | 'thickness'
  /** g */
  | 'mass';

/** A number with what it measures, in the unit of its dimension. */
export interface Quantity {
  readonly dimension: Dimension;
  readonly value: number;
  /** Decimals in metric units; the reader's other units get as many as say as much. */
  readonly digits: number;
  /** Whether its sign is always said: a difference up or down. */
  readonly isSigned?: boolean;
}

/** The units a reader has chosen. */
export interface Units {
  readonly temperature: '°C' | '°F';
  readonly length: 'cm' | 'in';
  readonly mass: 'g' | 'lb';
}

export const METRIC: Units = { temperature: '°C', length: 'cm', mass: 'g' };

/** A way of showing a dimension: shown = value × scale + offset. */
interface Scale {
  readonly unit: string;
  readonly scale: number;
  readonly offset?: number;
  /** Decimals more than in the unit of the house. */
  readonly finer?: number;
}

const SHOWN: Readonly<Record<Dimension, (units: Units) => Scale>> = {
  temperature: ({ temperature }) =>
    temperature === '°F' ? { unit: '°F', scale: 1.8, offset: 32 } : { unit: '°C', scale: 1 },
  temperatureStep: ({ temperature }) => ({ unit: temperature, scale: temperature === '°F' ? 1.8 : 1 }),
  rate: ({ temperature }) => ({ unit: `${temperature}/h`, scale: temperature === '°F' ? 1.8 : 1 }),
  length: ({ length }) =>
    length === 'in' ? { unit: 'in', scale: 1 / MM_PER_INCH, finer: 1 } : { unit: 'cm', scale: 0.1, finer: 0 },
  thickness: ({ length }) =>
    length === 'in' ? { unit: 'in', scale: 1 / MM_PER_INCH, finer: 1 } : { unit: 'mm', scale: 1 },
  mass: ({ mass }) =>
    mass === 'lb' ? { unit: 'lb', scale: 1 / G_PER_POUND, finer: 2 } : { unit: 'g', scale: 1 },
};

const maker =
  (dimension: Dimension, usual: number) =>
  (value: number, digits = usual): Quantity => ({ dimension, value, digits });

/** A temperature, °C. */
export const celsius = maker('temperature', 0);
/** A difference of temperatures, K. */
export const kelvins = maker('temperatureStep', 0);
/** A speed of heating or cooling, °C/h. */
export const perHour = maker('rate', 0);
/** A length on ware, mm, said in centimetres. */
export const lengthOf = maker('length', 1);
/** A thickness or a gap, mm. */
export const millimetres = maker('thickness', 0);
/** A mass, g. */
export const grams = maker('mass', 0);

/** A difference that is said with its sign. @example sayQuantity(signed(kelvins(-4)), METRIC) // '−4 °C' */
export function signed(quantity: Quantity): Quantity {
  return { ...quantity, isSigned: true };
}

/** The name of the unit a dimension is shown in. @example unitOf('rate', METRIC) // '°C/h' */
export function unitOf(dimension: Dimension, units: Units): string {
  return SHOWN[dimension](units).unit;
}

/** A value in the reader's unit, unrounded. @example shownValue('temperature', 100, fahrenheit) // 212 */
export function shownValue(dimension: Dimension, value: number, units: Units): number {
  const { scale, offset = 0 } = SHOWN[dimension](units);
  return value * scale + offset;
}

/**
 * How many decimals a field shows so that what is kept to `digits` decimals in the unit of the house can be read back.
 *
 * @example shownDigits('length', 0, METRIC) // 1: whole millimetres are tenths of a centimetre
 */
export function shownDigits(dimension: Dimension, digits: number, units: Units): number {
  return digits + Math.max(0, Math.ceil(-Math.log10(SHOWN[dimension](units).scale)));
}

/** What was typed in the reader's unit, in the unit of the house. */
export function typedValue(dimension: Dimension, shown: number, units: Units): number {
  const { scale, offset = 0 } = SHOWN[dimension](units);
  return (shown - offset) / scale;
}

/**
 * What is kept of a number that was typed in the reader's unit: in the unit of the house, to a millionth of it, which is
 * finer than anybody types and coarser than the noise of the conversion.
 *
 * @example keptValue('length', 3.3, METRIC) // 33, not 32.99999999999999
 */
export function keptValue(dimension: Dimension, shown: number, units: Units): number {
  return Number(typedValue(dimension, shown, units).toFixed(6));
}

/**
 * A quantity in words.
 *
 * @example sayQuantity(celsius(1222.4), METRIC) // '1222 °C'
 * @example sayQuantity(lengthOf(5), METRIC) // '0.5 cm'
 */
export function sayQuantity({ dimension, value, digits, isSigned }: Quantity, units: Units): string {
  const { unit, finer = 0 } = SHOWN[dimension](units);
  const number = shownValue(dimension, value, units);
  const figures = Math.abs(number).toFixed(digits + finer);
  const shown = figures.replace(/\.0+$/, '');
  const isBelow = number < 0 && Number(shown) !== 0;
  return `${isBelow ? '−' : isSigned ? '+' : ''}${shown} ${unit}`;
}
