import dayjs from 'dayjs';
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
function toTen(at: Date): dayjs.Dayjs {
  return dayjs(Math.round(new Date(at).getTime() / 600_000) * 600_000);
}

/** A time to come in words: "about 21:40 today, between 20:50 and 22:30". */
export function clockWords({ at, from, to }: ClockTime, now: Date): string {
  const [middle, low, high] = [at, from, to].map(toTen) as [dayjs.Dayjs, dayjs.Dayjs, dayjs.Dayjs];
  const time = (one: dayjs.Dayjs) => one.format(one.isSame(middle, 'day') ? 'HH:mm' : 'ddd HH:mm');
  const day = middle.isSame(now, 'day')
    ? 'today'
    : middle.isSame(dayjs(now).add(1, 'day'), 'day')
      ? 'tomorrow'
      : middle.format('dddd D MMM');
  return `about ${middle.format('HH:mm')} ${day}, between ${time(low)} and ${time(high)}`;
}
