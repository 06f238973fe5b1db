import type { DateTime } from 'luxon';
import { studioClock, studioTime, type DateStyle } from './studioClock';

interface Style {
  /** "24 Nov 2026" */
  readonly short: string;
  /** "Tuesday 24 November" */
  readonly long: string;
  /** "Tue 24", the head of a day in a calendar */
  readonly column: string;
  /** "18:05" */
  readonly time: string;
}

const HOURS = 'HH:mm';
const STYLES: Readonly<Record<DateStyle, Style>> = {
  '24 Nov 2026, 18:05': { short: 'd LLL yyyy', long: 'cccc d LLLL', column: 'ccc d', time: HOURS },
  'Nov 24, 2026, 6:05 PM': { short: 'LLL d, yyyy', long: 'cccc, LLLL d', column: 'ccc d', time: 'h:mm a' },
  '24.11.2026, 18:05': { short: 'dd.LL.yyyy', long: 'cccc d LLLL', column: 'ccc d.', time: HOURS },
  '2026-11-24, 18:05': { short: 'yyyy-LL-dd', long: 'cccc d LLLL', column: 'ccc d', time: HOURS },
};

/** What is written: a day, a time of day, or several with a space between. */
type Part = keyof Style | 'weekday' | 'shortWeekday';

/**
 * A moment in the studio's words.
 *
 * @param parts what of it, in their order
 * @example wordsOf(at, 'shortWeekday', 'time') // "Fri 10:00"
 */
export function wordsOf(at: Date | string | DateTime, ...parts: readonly Part[]): string {
  const style = STYLES[studioClock().dates];
  const time = typeof at === 'string' || at instanceof Date ? studioTime(at) : at;
  const formats = { ...style, weekday: 'cccc', shortWeekday: 'ccc' };
  return time.toFormat(parts.map((part) => formats[part]).join(' '));
}

/** A day as it stands in a heading: "Tuesday 24 November". */
export function dayWords(day: Date | string): string {
  return wordsOf(day, 'long');
}

/** A day in short: "24 Nov 2026". */
export function shortDay(day: Date | string): string {
  return wordsOf(day, 'short');
}

/** How long ago: "19 hours ago". */
export function ageWords(then: Date, now: Date): string {
  return studioTime(then).toRelative({ base: studioTime(now) }) ?? '';
}
