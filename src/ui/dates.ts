import dayjs from 'dayjs';
import relativeTime from 'dayjs/plugin/relativeTime';

dayjs.extend(relativeTime);

/** A day as it stands in a heading: "Tuesday 24 November". */
export function dayWords(day: Date): string {
  return dayjs(day).format('dddd D MMMM');
}

/** A day in short: "24 Nov 2026". */
export function shortDay(day: Date | string): string {
  return dayjs(day).format('D MMM YYYY');
}

/** How long ago: "19 hours ago". */
export function ageWords(then: Date, now: Date): string {
  return dayjs(then).from(now);
}
