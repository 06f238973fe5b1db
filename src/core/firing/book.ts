import { toCelsius } from './endPoints';

/** A line of a firing book: when, how hot, and what was written beside it. */
export interface BookLine {
  /** Counted as the text counts, from 1. */
  readonly line: number;
  /** From the start of the firing. */
  readonly minutes: number;
  readonly celsius: number;
  readonly note: string;
}

/** What a firing book says, and the lines of it that could not be read. */
export interface FiringBook {
  readonly lines: readonly BookLine[];
  readonly errors: readonly { readonly line: number; readonly message: string }[];
}

/** How a firing book is written. */
export interface BookHand {
  /** The degrees of a number without a unit. */
  readonly unit: '°C' | '°F';
  /** Whether its times are those of a clock on the wall; hours from the start else. */
  readonly isClock: boolean;
  /** The minute of the day at which the firing started; null when nobody knows: then its first line is the start. */
  readonly startMinute: number | null;
}

const DAY = 24 * 60;
/** A time so shortly before the start is a slip, not the next day, minutes (judgement). */
const BEFORE = 6 * 60;
/** Least and most that a pyrometer shows, °C. */
const RANGE = [-20, 1450] as const;

/** A time with its minutes: "7:05", "7h05", "19:30", "7:05 pm". */
const CLOCK = /(?<![\d.,])(\d{1,3})\s*[:h]\s*([0-5]\d)(?:\s*([ap])\.?m\.?)?(?![\d:])/i;
/** A temperature with its unit: "812 °C", "1490F". */
const DEGREES = /(?<![\d.,])(-?\d{1,4}(?:[.,]\d+)?)\s*°?\s*([CF])\b/i;
const BARE_DEGREES = /(?<![\d.,])(-?\d{1,4}(?:[.,]\d+)?)\s*°/;
const NUMBER = /(?<![\d.,])-?\d{1,4}(?:[.,]\d+)?(?!\d|[.,]\d)/;

interface Parts {
  /** Minutes of a time that was written with them; null for one in plain hours, or for none. */
  readonly clock: number | null;
  /** °C where its unit was written. */
  readonly celsius: number | null;
  readonly numbers: readonly number[];
  readonly note: string;
}

const plain = (text: string) => Number(text.replace(',', '.'));

function partsOf(text: string, unit: BookHand['unit']): Parts {
  let rest = text;
  const take = (pattern: RegExp) => {
    const found = pattern.exec(rest);
    if (found) rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`;
    return found;
  };
  const time = take(CLOCK);
  const degrees = take(DEGREES) ?? take(BARE_DEGREES);
  const value = degrees && plain(degrees[1]!);
  const isFahrenheit = degrees?.[2] ? degrees[2].toUpperCase() === 'F' : unit === '°F';
  // Only the two figures of a line are its time and its temperature; others belong to the words.
  const wanted = 2 - (time ? 1 : 0) - (degrees ? 1 : 0);
  const numbers: number[] = [];
  for (let i = 0; i < wanted; i++) {
    const found = take(NUMBER);
    if (found) numbers.push(plain(found[0]));
  }
  return {
    clock: time ? minutesOf(time) : null,
    celsius: value === null ? null : isFahrenheit ? toCelsius(value) : value,
    numbers,
    note: rest.replace(/^[\s,;|.–-]+|[\s,;|–-]+$/g, '').replace(/\s+/g, ' '),
  };
}

function minutesOf([, hour, minute, half]: RegExpExecArray): number {
  const isAfternoon = half?.toLowerCase() === 'p';
  const hours = half ? (Number(hour) % 12) + (isAfternoon ? 12 : 0) : Number(hour);
  return hours * 60 + Number(minute);
}

/**
 * Reads a firing book as it was kept by hand, a line a reading: time and temperature in either order, words behind.
 * Lines that cannot be read are named and left out; the rest is kept.
 *
 * @example readBook('18:00 20 lit\n19:30 110', { unit: '°C', isClock: true, startMinute: 1080 }).lines[1]
 *   // { line: 2, minutes: 90, celsius: 110, note: '' }
 */
export function readBook(text: string, { unit, isClock, startMinute }: BookHand): FiringBook {
  const errors: { line: number; message: string }[] = [];
  const read = text
    .split(/\r?\n/)
    .map((words, i) => ({ line: i + 1, words: words.trim() }))
    .filter(({ words }) => words !== '')
    .map(({ line, words }) => ({ line, words, ...partsOf(words, unit) }));
  const isTimeLast = plainTimesLast(read);
  const lines: BookLine[] = [];
  let first: number | null = isClock ? startMinute : 0;
  let before = 0;
  for (const { line, words, clock, celsius, numbers, note } of read) {
    const refuse = (message: string) => void errors.push({ line, message });
    const numbered = isTimeLast ? numbers.toReversed() : numbers;
    const time = clock ?? (isClock || numbered[0] === undefined ? null : Math.round(numbered[0] * 60));
    const hot = celsius ?? degreesOf(clock === null && !isClock ? numbered[1] : numbered[0], unit);
    if (time === null) {
      refuse(`“${words}” has no time${isClock ? ', such as 19:30' : ''}`);
      continue;
    }
    if (hot === null) {
      refuse(`“${words}” has no temperature`);
      continue;
    }
    if (hot < RANGE[0] || hot > RANGE[1]) {
      refuse(`“${words}”: no kiln is so hot or so cold`);
      continue;
    }
    first ??= time;
    const minutes = isClock ? sinceStart(time, first, before) : time;
    if (minutes === null || minutes < before) {
      refuse(
        minutes === null ? `“${words}” is before the start` : `“${words}” is earlier than the line before`,
      );
      continue;
    }
    before = minutes;
    lines.push({ line, minutes, celsius: hot, note });
  }
  return { lines, errors };
}

function degreesOf(value: number | undefined, unit: BookHand['unit']): number | null {
  if (value === undefined) return null;
  return unit === '°F' ? toCelsius(value) : value;
}

/** Whether, of two plain numbers a line, the second is the time: the one that stays lower in the whole book. */
function plainTimesLast(read: readonly Parts[]): boolean {
  const pairs = read.flatMap(({ numbers }) => (numbers.length === 2 ? [numbers] : []));
  const most = (i: 0 | 1) => Math.max(...pairs.map((pair) => pair[i]!));
  return pairs.length > 0 && most(0) > most(1);
}

/** Minutes from the start of a time of day, on the day on which it comes after the line before; null before the start. */
function sinceStart(time: number, start: number, before: number): number | null {
  const ofDay = (((time - start) % DAY) + DAY) % DAY;
  if (before === 0 && ofDay > DAY - BEFORE) return null;
  const minutes = before - (before % DAY) + ofDay;
  // Past midnight of the firing's own day; a line that would lie half a day on is a slip.
  return minutes < before && minutes + DAY - before <= DAY / 2 ? minutes + DAY : minutes;
}
