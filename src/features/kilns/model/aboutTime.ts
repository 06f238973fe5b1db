import dayjs from 'dayjs';

/** A time that is foretold, to the next half hour: nothing better is known. @example "Fri 10:00" */
export function aboutTime(at: Date): string {
  const time = dayjs(at);
  const over = time.minute() % 30;
  return (over ? time.add(30 - over, 'minute') : time).format('ddd HH:mm');
}
