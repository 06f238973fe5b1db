import { heatName } from '@/core/vocabulary';
import ical, { ICalCalendarMethod } from 'ical-generator';
import type { Booked } from '@/records/firings';

/** The coming firings as an iCalendar file: one event while it fires, one when it can be opened. */
export function calendarFile(booked: readonly Booked[], now: Date): string {
  const calendar = ical({ name: 'Kilns', method: ICalCalendarMethod.PUBLISH, ttl: 3600 });
  for (const { firing, start, end, cool, opens } of booked) {
    const name = `${firing.kilnName} ${firing.number}`;
    const what = `${firing.kind}, ${heatName(firing.cone)}, ${firing.atmosphere}`;
    calendar.createEvent({
      id: `${firing.id}-fires`,
      start,
      end,
      stamp: now,
      summary: `${name} fires: ${what}`,
      description: `${firing.pieces} pieces. ${firing.programme}`.trim(),
    });
    calendar.createEvent({
      id: `${firing.id}-opens`,
      start: opens,
      end: new Date(opens.getTime() + 30 * 60_000),
      stamp: now,
      summary: `${name} can be opened`,
      description: `Estimated cool at ${cool.toISOString()}. Read the kiln before the lid goes up.`,
    });
  }
  return calendar.toString();
}
