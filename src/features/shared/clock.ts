import type { DateTime } from 'luxon';
import { studioTime, wordsOf } from '@/core/time';
import type { ClockTime } from '@/records/firings';

/** Minutes as hours and minutes: "7:05". */
export function hours(minutes: number): string {
  const whole = Math.round(minutes);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** Minutes of a time written as "7:05" or in hours, "7.5"; null when blank, NaN when it is neither. */
export function parseHours(text: string): number | null {
  const plain = text.trim().replace(',', '.');
  if (plain === '') return null;
  const clock = /^(\d{1,3}):([0-5]\d)$/.exec(plain);
  return clock ? Number(clock[1]) * 60 + Number(clock[2]) : Number(plain) * 60;
}

/** To ten minutes: a forecast knows no better. */
function toTen(at: Date): DateTime {
  return studioTime(Math.round(new Date(at).getTime() / 600_000) * 600_000);
}

/** A time to come in words: "about 21:40 today, between 20:50 and 22:30". */
export function clockWords({ at, from, to }: ClockTime, now: Date): string {
  const [middle, low, high] = [at, from, to].map(toTen) as [DateTime, DateTime, DateTime];
  const time = (one: DateTime) =>
    one.hasSame(middle, 'day') ? wordsOf(one, 'time') : wordsOf(one, 'shortWeekday', 'time');
  const today = studioTime(now);
  const day = middle.hasSame(today, 'day')
    ? 'today'
    : middle.hasSame(today.plus({ days: 1 }), 'day')
      ? 'tomorrow'
      : wordsOf(middle, 'long');
  return `about ${wordsOf(middle, 'time')} ${day}, between ${time(low)} and ${time(high)}`;
}
