import { G_PER_POUND, ML_PER_CUBIC_FOOT, ML_PER_OUNCE, MM_PER_INCH, type UnitSystem } from './measure';
import { figures } from './number';

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
  /** Of ware, cm². */
  | 'area'
  /** Of shelves, cm²; said in square metres. */
  | 'shelfArea'
  /** Of glaze and materials, g. */
  | 'mass'
  /** Of clay and whole buckets, g; said in kilograms. */
  | 'bulk'
  /** Of a cup or a jug, ml. */
  | 'pour'
  /** Of a bucket, ml; said in litres. */
  | 'volume'
  /** Of a kiln, l. */
  | 'space';

/** A number with what it measures, in the unit of its dimension. */
export interface Quantity {
  readonly dimension: Dimension;
  readonly value: number;
  /** Decimals in metric units; the reader's other units get as many as say as much. */
  readonly digits: number;
  /** Whether its sign is always said: a difference up or down. */
  readonly isSigned?: boolean;
  /** Whether noughts at the end are said, so that figures of a column stand under each other. */
  readonly isAligned?: boolean;
}

/** The units a reader has chosen. */
export interface Units {
  readonly temperature: '°C' | '°F';
  readonly length: 'cm' | 'in';
  readonly mass: 'g' | 'lb';
  /** Litres, or gallons of the United States or of Britain. */
  readonly volume: 'l' | 'gal' | 'imp gal';
}

export const METRIC: Units = { temperature: '°C', length: 'cm', mass: 'g', volume: 'l' };

/** Whose gallons, pints and fluid ounces a reader means. */
export function gallonsOf({ volume }: Units): UnitSystem {
  return volume === 'imp gal' ? 'imperial' : 'us';
}

/** A way of showing a dimension: shown = value × scale + offset. */
interface Scale {
  readonly unit: string;
  readonly scale: number;
  readonly offset?: number;
  /** Decimals more than in the unit of the house. */
  readonly finer?: number;
  /** A larger unit that is said first, and how many of this one it is: 1 lb 4 oz. */
  readonly larger?: { readonly unit: string; readonly count: number };
  /** What less than one of the unit is said as. */
  readonly smaller?: Dimension;
}

const OUNCES = 16;
/** Fluid ounces of a gallon. */
const gallon = (units: Units) => (units.volume === 'imp gal' ? 160 : 128);
const ounce = (units: Units) => ML_PER_OUNCE[gallonsOf(units)];

const SHOWN: Readonly<Record<Dimension, (units: Units) => Scale>> = {
  temperature: ({ temperature }) =>
    temperature === '°F' ? { unit: '°F', scale: 1.8, offset: 32 } : { unit: '°C', scale: 1 },
  temperatureStep: ({ temperature }) => ({ unit: temperature, scale: temperature === '°F' ? 1.8 : 1 }),
  rate: ({ temperature }) => ({ unit: `${temperature}/h`, scale: temperature === '°F' ? 1.8 : 1 }),
  length: ({ length }) =>
    length === 'in' ? { unit: 'in', scale: 1 / MM_PER_INCH, finer: 1 } : { unit: 'cm', scale: 0.1, finer: 0 },
  thickness: ({ length }) =>
    length === 'in' ? { unit: 'in', scale: 1 / MM_PER_INCH, finer: 1 } : { unit: 'mm', scale: 1 },
  area: ({ length }) =>
    length === 'in' ? { unit: 'sq in', scale: 100 / MM_PER_INCH ** 2 } : { unit: 'cm²', scale: 1 },
  shelfArea: ({ length }) =>
    length === 'in' ? { unit: 'sq ft', scale: 100 / (12 * MM_PER_INCH) ** 2 } : { unit: 'm²', scale: 1e-4 },
  mass: ({ mass }) =>
    mass === 'lb'
      ? { unit: 'oz', scale: OUNCES / G_PER_POUND, finer: 1, larger: { unit: 'lb', count: OUNCES } }
      : { unit: 'g', scale: 1 },
  bulk: ({ mass }) =>
    mass === 'lb'
      ? { unit: 'lb', scale: 1 / G_PER_POUND, smaller: 'mass' }
      : { unit: 'kg', scale: 1e-3, smaller: 'mass' },
  pour: (units) =>
    units.volume === 'l' ? { unit: 'ml', scale: 1 } : { unit: 'fl oz', scale: 1 / ounce(units), finer: 1 },
  volume: (units) =>
    units.volume === 'l'
      ? { unit: 'l', scale: 1e-3, smaller: 'pour' }
      : { unit: 'gal', scale: 1 / (gallon(units) * ounce(units)), smaller: 'pour' },
  space: ({ volume }) =>
    volume === 'l' ? { unit: 'l', scale: 1 } : { unit: 'cu ft', scale: 1e3 / ML_PER_CUBIC_FOOT, finer: 1 },
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
/** An area of ware, cm². */
export const areaOf = maker('area', 0);
/** An area of shelves, cm², said in square metres. */
export const shelfAreaOf = maker('shelfArea', 2);
/** A mass of glaze or of a material, g. */
export const grams = maker('mass', 0);
/** A mass of clay or of a whole bucket, g, said in kilograms. */
export const bulkOf = maker('bulk', 1);
/** A volume in a cup or a jug, ml. */
export const millilitres = maker('pour', 0);
/** A volume in a bucket, ml, said in litres. */
export const volumeOf = maker('volume', 2);
/** The volume of a kiln, l. */
export const spaceOf = maker('space', 0);

/** A difference that is said with its sign. @example sayQuantity(signed(kelvins(-4)), METRIC) // '−4 °C' */
export function signed(quantity: Quantity): Quantity {
  return { ...quantity, isSigned: true };
}

/** A quantity in a column of others: with all its decimals. @example sayQuantity(aligned(grams(126, 1)), METRIC) // '126.0 g' */
export function aligned(quantity: Quantity): Quantity {
  return { ...quantity, isAligned: true };
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
 * @example sayQuantity(grams(567), US) // '1 lb 4 oz'
 */
export function sayQuantity(
  { dimension, value, digits, isSigned, isAligned }: Quantity,
  units: Units,
): string {
  const { unit, finer = 0, larger, smaller } = SHOWN[dimension](units);
  const shown = shownValue(dimension, value, units);
  if (smaller && Math.abs(shown) < 1) return sayQuantity({ dimension: smaller, value, digits: 0 }, units);
  const size = Number(Math.abs(shown).toFixed(digits + finer));
  const isBelow = shown < 0 && size !== 0;
  return `${isBelow ? '−' : isSigned ? '+' : ''}${said(size)}`;

  function said(number: number): string {
    if (!larger || number < larger.count) return `${trimmed(number)} ${unit}`;
    const whole = Math.floor(number / larger.count);
    const rest = number - whole * larger.count;
    return `${whole} ${larger.unit}${Number(rest.toFixed(digits + finer)) > 0 ? ` ${trimmed(rest)} ${unit}` : ''}`;
  }
  function trimmed(number: number): string {
    const all = figures(number, digits + finer);
    return isAligned ? all : all.replace(/[.,]0+$/, '');
  }
}
