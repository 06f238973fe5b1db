import { plainFigures, readNumber } from './number';

/** What a written measure may be of. */
export const MEASURE_KINDS = ['length', 'weight', 'volume', 'temperature', 'rate'] as const;
export type MeasureKind = (typeof MEASURE_KINDS)[number];

/** What a number without a unit is taken for, and whose gallon a gallon is. */
export const UNIT_SYSTEMS = ['metric', 'us', 'imperial'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];

/** A measure as it was understood. */
export interface Measure {
  /** In the unit that was written first: 1.25 for "1 lb 4 oz". */
  readonly value: number;
  /** The name of that unit. */
  readonly unit: string;
  /** mm, g, ml, °C or °C/h, unrounded. */
  readonly canonical: number;
}

export type ReadMeasure =
  { readonly measure: Measure; readonly error: null } | { readonly measure: null; readonly error: string };

/** The inch is 25.4 mm, the pound 453.59237 g, by definition (NIST SP 811, appendix B.8). */
export const MM_PER_INCH = 25.4;
export const G_PER_POUND = 453.59237;
/** A fluid ounce, ml: the 128th part of the US gallon of 231 cubic inches, the 160th of the imperial of 4.54609 l. */
export const ML_PER_OUNCE: Readonly<Record<UnitSystem, number>> = {
  metric: 29.5735295625,
  us: 29.5735295625,
  imperial: 28.4130625,
};

export const ML_PER_CUBIC_FOOT = (12 * MM_PER_INCH) ** 3 / 1000;

/** A unit: so many of the basic unit of its family, which is so large in the canonical unit, and how it is written. */
interface Unit {
  readonly count: number;
  /** mm, g or ml. Units of one basic unit are added up, as feet and inches are, without a loss. */
  readonly basic: number;
  /** Beside its name; in small letters. */
  readonly spelled: readonly string[];
}

type UnitTable = Readonly<Record<string, Unit>>;

const unitsOf =
  (basic: number) =>
  (count: number, ...spelled: readonly string[]): Unit => ({ count, basic, spelled });
const metric = unitsOf(1);
const inches = unitsOf(MM_PER_INCH);
const ounces = unitsOf(G_PER_POUND / 16);

const LENGTHS: UnitTable = {
  mm: metric(1, 'millimetre', 'millimeter'),
  cm: metric(10, 'centimetre', 'centimeter'),
  m: metric(1000, 'metre', 'meter'),
  in: inches(1, '"', "''", 'inch', 'inches'),
  ft: inches(12, "'", 'foot', 'feet'),
};

const WEIGHTS: UnitTable = {
  mg: metric(0.001, 'milligram'),
  g: metric(1, 'gram', 'gramme', 'gm'),
  kg: metric(1000, 'kilogram', 'kilogramme', 'kilo'),
  oz: ounces(1, 'ounce'),
  lb: ounces(16, 'pound', '#'),
};

const volumes = (system: UnitSystem): UnitTable => {
  const fluid = unitsOf(ML_PER_OUNCE[system]);
  const [pint, teaspoon] = system === 'imperial' ? [20, 1 / 4.8] : [16, 1 / 6];
  return {
    ml: metric(1, 'millilitre', 'milliliter', 'cc', 'cm3', 'cm³'),
    dl: metric(100, 'decilitre', 'deciliter'),
    l: metric(1000, 'litre', 'liter', 'ltr'),
    'cu ft': unitsOf(ML_PER_CUBIC_FOOT)(1, 'cuft', 'ft3', 'ft³', 'cubic foot', 'cubic feet'),
    tsp: fluid(teaspoon, 'teaspoon'),
    tbsp: fluid(3 * teaspoon, 'tablespoon'),
    'fl oz': fluid(1, 'floz', 'oz', 'ounce', 'fluid ounce'),
    cup: fluid(pint / 2, 'c'),
    pt: fluid(pint, 'pint'),
    qt: fluid(2 * pint, 'quart'),
    gal: fluid(8 * pint, 'gallon'),
  };
};

const tableOf = (kind: 'length' | 'weight' | 'volume', system: UnitSystem): UnitTable =>
  kind === 'length' ? LENGTHS : kind === 'weight' ? WEIGHTS : volumes(system);

/** What a number without a unit is. */
const BARE: Readonly<Record<Exclude<MeasureKind, 'rate'>, readonly [metric: string, other: string]>> = {
  length: ['cm', 'in'],
  weight: ['g', 'oz'],
  volume: ['l', 'gal'],
  temperature: ['°C', '°F'],
};
const bareOf = (kind: keyof typeof BARE, system: UnitSystem) => BARE[kind][system === 'metric' ? 0 : 1];

/** Degrees: where the zero of °C lies on a scale, and how many of its degrees are five of °C. */
interface Degrees {
  readonly zero: number;
  readonly perFive: number;
  readonly spelled: readonly string[];
}
const DEGREES: Readonly<Record<string, Degrees>> = {
  '°C': { zero: 0, perFive: 5, spelled: ['c', 'celsius', 'centigrade'] },
  '°F': { zero: 32, perFive: 9, spelled: ['f', 'fahrenheit'] },
  K: { zero: 273.15, perFive: 5, spelled: ['k', 'kelvin'] },
};
const HOURS: Readonly<Record<string, { readonly perHour: number; readonly spelled: readonly string[] }>> = {
  h: { perHour: 1, spelled: ['h', 'hr', 'hour'] },
  min: { perHour: 60, spelled: ['min', 'minute'] },
};
const COLDEST = -273.15;

/** One number with the unit written behind it. */
interface Part {
  readonly number: number;
  readonly unit: string;
}

/**
 * Reads a measure as people write it: `4 1/2 in`, `4.5"`, `5' 4"`, `11,4 cm`, `1 lb 4 oz`, `2 gal`, `2167 F`,
 * `150 F/h`. A number alone is centimetres, grams, litres, degrees Celsius or those an hour, or inches, ounces, gallons
 * and degrees Fahrenheit, by the system; gallons, pints and ounces of volume are US ones unless the system is imperial.
 * A rate is a difference: it converts without the 32.
 *
 * @param written what was typed
 * @param kind what it is a measure of; a unit of another kind is refused
 * @returns the measure, or what is wrong with it
 * @example readMeasure('1 lb 4 oz', 'weight').measure?.canonical // 566.9904625
 */
export function readMeasure(written: string, kind: MeasureKind, system: UnitSystem = 'metric'): ReadMeasure {
  const parts = partsOf(written);
  if (typeof parts === 'string') return { measure: null, error: parts };
  return kind === 'temperature' || kind === 'rate'
    ? readDegrees(parts, kind, system)
    : readSum(parts, kind, system);
}

const refuse = (error: string) => ({ measure: null, error });

/** Marks of feet, inches and degrees in plain characters, units without their full stop. */
const plain = (written: string) =>
  plainFigures(
    written
      .replace(/[″”“]/g, '"')
      .replace(/[′’‘]/g, "'")
      .replace(/℃/g, '°C')
      .replace(/℉/g, '°F')
      .replace(/º/g, '°')
      .replace(/(\p{L})\./gu, '$1 ')
      .replace(/\s+/g, ' '),
  );

/** The numbers of a text, each with its unit; or what is wrong. */
function partsOf(written: string): readonly Part[] | string {
  const text = plain(written);
  if (text === '') return 'Nothing is written.';
  const part = /([+-]?(?:\d[\d., -]*(?:\/\d+)?|[.,]\d+))([^\d+.,-]*)/y;
  const parts: Part[] = [];
  while (part.lastIndex < text.length) {
    const [, figures, unit] = part.exec(text) ?? [];
    if (figures === undefined) return `“${written.trim()}” is no number with a unit.`;
    const { value, error } = readNumber(figures);
    if (error !== null) return error;
    parts.push({ number: value, unit: unitWord(unit!) });
  }
  return parts;
}

/** A unit as it is looked up: small letters. */
const unitWord = (unit: string) => unit.toLowerCase().replace(/\s+/g, ' ').trim();

const isSpelled = (word: string, name: string, { spelled }: { readonly spelled: readonly string[] }) =>
  [name.toLowerCase(), ...spelled].some((one) => word === one || word === `${one}s`);

const named = <T extends { readonly spelled: readonly string[] }>(
  table: Readonly<Record<string, T>>,
  word: string,
) => Object.entries(table).find(([name, unit]) => isSpelled(word, name, unit));

/** What a word measures when it is a unit at all: for a refusal that says so. */
function kindOf(word: string): MeasureKind | null {
  for (const kind of ['length', 'weight', 'volume'] as const)
    if (named(tableOf(kind, 'us'), word)) return kind;
  const degrees = degreesIn(word);
  return degrees ? degrees.kind : null;
}

const WITH_ARTICLE: Readonly<Record<MeasureKind, string>> = {
  length: 'a length',
  weight: 'a weight',
  volume: 'a volume',
  temperature: 'a temperature',
  rate: 'a rate',
};

function refuseUnit(word: string, kind: MeasureKind): ReadMeasure {
  const found = kindOf(word);
  return refuse(
    found && found !== kind
      ? `“${word}” is ${WITH_ARTICLE[found]}, not ${WITH_ARTICLE[kind]}.`
      : `“${word}” is no unit of ${WITH_ARTICLE[kind]}.`,
  );
}

/** Lengths, weights and volumes: parts in smaller and smaller units of one family, added up. */
function readSum(
  parts: readonly Part[],
  kind: 'length' | 'weight' | 'volume',
  system: UnitSystem,
): ReadMeasure {
  const table = tableOf(kind, system);
  const found: (readonly [string, Unit])[] = [];
  for (const { number, unit } of parts) {
    const before = found.at(-1);
    if (unit === '' && before && before[0] !== 'ft')
      return refuse('A number without a unit stands at the end.');
    // After feet a number alone is inches.
    const name = unit || (before ? 'in' : bareOf(kind, system));
    const here = named(table, name);
    if (!here) return refuseUnit(unit, kind);
    if (number < 0) return refuse(`${sentenceStart(WITH_ARTICLE[kind])} cannot be negative.`);
    if (before && (before[1].basic !== here[1].basic || before[1].count <= here[1].count))
      return refuse(`${here[0]} cannot follow ${before[0]}.`);
    found.push(here);
  }
  const [unit, { count, basic }] = found[0]!;
  const counted = found.reduce((sum, one, i) => sum + parts[i]!.number * one[1].count, 0);
  const value = parts.length === 1 ? parts[0]!.number : counted / count;
  return { measure: { value, unit, canonical: counted * basic }, error: null };
}

const sentenceStart = (words: string) => words[0]!.toUpperCase() + words.slice(1);

/** Degrees, perhaps per time, as they are written behind a number; null when they are no such unit. */
function degreesIn(
  word: string,
): { readonly degrees: string; readonly time: string; readonly kind: MeasureKind } | null {
  const [, degree = '', time] = /^(.*?)\s*(?:(?:\/|\bper\b|\ban?\b)\s*(.*))?$/.exec(word) ?? [];
  const bare = degree.replace(/^(?:degrees?|deg|°)\s*/, '').trim();
  const found = bare === '' ? '' : named(DEGREES, bare)?.[0];
  const per = time === undefined ? '' : named(HOURS, time)?.[0];
  if (found === undefined || per === undefined) return null;
  return { degrees: found, time: per, kind: per === '' ? 'temperature' : 'rate' };
}

/** Temperatures and rates: one number. */
function readDegrees(parts: readonly Part[], kind: 'temperature' | 'rate', system: UnitSystem): ReadMeasure {
  const [part, more] = parts;
  if (more) return refuse(`${sentenceStart(WITH_ARTICLE[kind])} is one number.`);
  const found = degreesIn(part!.unit);
  if (!found || (found.kind === 'rate' && kind === 'temperature')) return refuseUnit(part!.unit, kind);
  const unit = found.degrees || bareOf('temperature', system);
  const { zero, perFive } = DEGREES[unit]!;
  const { number } = part!;
  if (kind === 'rate') {
    const time = found.time || 'h';
    const canonical = (number * HOURS[time]!.perHour * 5) / perFive;
    return { measure: { value: number, unit: `${unit}/${time}`, canonical }, error: null };
  }
  const canonical = ((number - zero) * 5) / perFive;
  // As cold as it gets, to the last figure of the number.
  if (canonical < COLDEST - 1e-9) return refuse('Nothing is that cold.');
  return { measure: { value: number, unit, canonical }, error: null };
}
