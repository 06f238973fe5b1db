import { celsius as degrees, text as message, type Message } from '../units';

/** How a log file writes its times. */
export const TIME_FORMATS = [
  'minutes',
  'hours',
  'seconds',
  'hours:minutes',
  'clock',
  'date and time',
  'date and time, day first',
  'date and time, month first',
] as const;
export type TimeFormat = (typeof TIME_FORMATS)[number];

/** Which columns of a log file hold what. */
export interface LogColumns {
  readonly time: number;
  readonly format: TimeFormat;
  /** One or more temperature columns: a list a thermocouple comes out of each. */
  readonly temperatures: readonly number[];
  readonly unit: 'C' | 'F';
}

/** A line of a file that could not be read, counted as the file counts, header included. */
export interface LineError {
  readonly line: number;
  readonly message: Message;
}

/** A reading of a file: minutes from its first line, °C. */
export interface FileReading {
  readonly seq: number;
  readonly minutes: number;
  readonly celsius: number | null;
}

/**
 * Reads the rows of a log file. Lines that cannot be read are named and left out; the rest is kept.
 *
 * @param rows cells as text, the header among them when there is one
 * @param header how many lines at the top are no readings
 */
export function readLogRows(
  rows: readonly (readonly string[])[],
  header: number,
  columns: LogColumns,
): { readonly sensors: readonly (readonly FileReading[])[]; readonly errors: readonly LineError[] } {
  const errors: LineError[] = [];
  const sensors: FileReading[][] = columns.temperatures.map(() => []);
  const clock = runningClock(columns.format);
  for (const [i, row] of rows.entries()) {
    const line = i + 1;
    if (i < header || row.every((cell) => !cell.trim())) continue;
    const minutes = clock(row[columns.time] ?? '');
    if (minutes === null) {
      errors.push({ line, message: `“${row[columns.time] ?? ''}” is no time (${columns.format})` });
      continue;
    }
    for (const [sensor, column] of columns.temperatures.entries()) {
      const celsius = readTemperature(row[column] ?? '', columns.unit);
      if (typeof celsius === 'number' || celsius === null)
        sensors[sensor]!.push({ seq: line, minutes, celsius });
      else errors.push({ line, message: celsius });
    }
  }
  return { sensors, errors };
}

/** A blank cell or a word for "no reading" is null; what is neither that nor a temperature is said. */
function readTemperature(cell: string, unit: 'C' | 'F'): number | null | Message {
  const text = cell.trim();
  if (text === '' || /^(n\/?a|nan|null|-+|open|err(or)?)$/i.test(text)) return null;
  const value = Number(text.replace(/\s*°?\s*[CF]$/i, '').replace(',', '.'));
  if (Number.isNaN(value)) return `“${text}” is no temperature`;
  const celsius = unit === 'F' ? (value - 32) / 1.8 : value;
  return celsius < -50 || celsius > 1500
    ? message`${text} is outside ${degrees(-50)} to ${degrees(1500)}`
    : celsius;
}

/**
 * Turns the times of a file into minutes from its first. A clock without dates rolls over at midnight; one
 * that jumps back by about an hour has been put back for the winter, and goes on.
 */
function runningClock(format: TimeFormat): (cell: string) => number | null {
  let first: number | null = null;
  let last = -Infinity;
  let shift = 0;
  return (cell) => {
    const read = readTime(cell.trim(), format);
    if (read === null) return null;
    const back = last - (read + shift);
    if (format === 'clock' && back > 0) shift += back > 12 * 60 ? 24 * 60 : 60;
    else if (format.startsWith('date') && back > 0 && back <= 61) shift += 60;
    first ??= read + shift;
    last = Math.max(last, read + shift);
    return read + shift - first;
  };
}

function readTime(text: string, format: TimeFormat): number | null {
  if (format === 'minutes' || format === 'hours' || format === 'seconds') {
    const value = text === '' ? NaN : Number(text.replace(',', '.'));
    return Number.isFinite(value) ? value * { minutes: 1, hours: 60, seconds: 1 / 60 }[format] : null;
  }
  const clock = /(\d{1,4}):(\d{2})(?::(\d{2}(?:\.\d+)?))?/.exec(text);
  if (!clock) return null;
  const minutes = Number(clock[1]) * 60 + Number(clock[2]) + Number(clock[3] ?? 0) / 60;
  if (format === 'hours:minutes' || format === 'clock') return minutes;
  const date = /(\d{1,4})[-./](\d{1,2})[-./](\d{1,4})/.exec(text);
  if (!date) return null;
  const [a, b, c] = date.slice(1).map(Number) as [number, number, number];
  const afternoon = /p\.?m\.?$/i.test(text) && minutes < 720 ? 720 : 0;
  const [year, month, day] =
    format === 'date and time' ? [a, b, c] : format.endsWith('day first') ? [c, b, a] : [c, a, b];
  if (month < 1 || month > 12 || day < 1 || day > 31) return null;
  return Date.UTC(year, month - 1, day) / 60_000 + minutes + afternoon;
}

/** What a file's columns seem to be, from its first rows; a person can change every bit of it. */
export function guessColumns(rows: readonly (readonly string[])[]): LogColumns & { readonly header: number } {
  const header = rows.findIndex((row) => row.some((cell) => /^-?\d/.test(cell.trim())));
  const names = (rows[header - 1] ?? []).map((cell) => cell.toLowerCase());
  const body = rows.slice(Math.max(0, header), header + 50);
  const width = Math.max(0, ...body.map((row) => row.length));
  const found = names.findIndex((name) => /time|minute|hour|date|elapsed|sec/.test(name));
  const time = found < 0 ? 0 : found;
  const numeric = Array.from({ length: width }, (_, i) => i).filter(
    (i) => i !== time && body.some((row) => typeof readTemperature(row[i] ?? '', 'C') === 'number'),
  );
  const named = numeric.filter((i) => /temp|°|deg|tc|zone|thermo|celsius|fahr/.test(names[i] ?? ''));
  const temperatures = (named.length ? named : numeric.slice(0, 1)).filter(
    (i) => !/set|target|program/.test(names[i] ?? ''),
  );
  const hot = Math.max(...body.map((row) => Number(row[temperatures[0] ?? -1]) || 0));
  const all = names.join(' ');
  return {
    header: Math.max(0, header),
    time,
    temperatures,
    format: guessFormat(
      body.map((row) => row[time] ?? ''),
      names[time] ?? '',
    ),
    unit: /fahr|°\s*f|deg\.? ?f|\(f\)/.test(all) || hot > 1450 ? 'F' : 'C',
  };
}

function guessFormat(cells: readonly string[], name: string): TimeFormat {
  const first = cells.find((cell) => cell.trim()) ?? '';
  if (/^\d{4}[-./]/.test(first.trim())) return 'date and time';
  if (/^\d{1,2}[-./]\d{1,2}[-./]\d{4}/.test(first.trim()))
    return cells.some((cell) => Number(/^\d+/.exec(cell.trim())?.[0]) > 12)
      ? 'date and time, day first'
      : 'date and time, month first';
  if (first.includes(':'))
    return /elapsed|hour/.test(name) || /^0?0:/.test(first) ? 'hours:minutes' : 'clock';
  if (/sec/.test(name)) return 'seconds';
  return /hour|\bh\b/.test(name) ? 'hours' : 'minutes';
}
