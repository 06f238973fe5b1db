import type { DateTime } from 'luxon';
import { studioTime } from '@/core/time';
import type { Firing } from '@/records/firings';

/** So long after its time a firing that has not started is asked about, minutes (judgement). */
const LATE = 30;

/** Whether a firing should have started by now, by its plan. */
export function isLate({ plannedOn, startsAt }: Pick<Firing, 'plannedOn' | 'startsAt'>, now: Date): boolean {
  const planned = studioTime(`${plannedOn}T${startsAt}`);
  return studioTime(now).diff(planned, 'minutes').minutes >= LATE;
}

/**
 * The last moment at which the studio's clock showed a time of day; null for none.
 *
 * @param time "HH:MM"
 */
export function lastTimeOf(time: string, now: Date): DateTime | null {
  const [hour, minute] = time.split(':').map(Number);
  if (hour === undefined || minute === undefined || Number.isNaN(hour + minute)) return null;
  const today = studioTime(now).set({ hour, minute, second: 0, millisecond: 0 });
  return today.toMillis() > now.getTime() ? today.minus({ days: 1 }) : today;
}
