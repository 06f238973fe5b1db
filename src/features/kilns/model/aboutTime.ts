import { studioTime, wordsOf } from '@/core/time';

/** A time that is foretold, to the next half hour: nothing better is known. @example "Fri 10:00" */
export function aboutTime(at: Date): string {
  const time = studioTime(at);
  const over = time.minute % 30;
  return wordsOf(over ? time.plus({ minutes: 30 - over }) : time, 'shortWeekday', 'time');
}
