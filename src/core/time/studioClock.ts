import { DateTime, IANAZone } from 'luxon';

/** How days and times of day are written, by an example of each. */
export const DATE_STYLES = [
  '24 Nov 2026, 18:05',
  'Nov 24, 2026, 6:05 PM',
  '24.11.2026, 18:05',
  '2026-11-24, 18:05',
] as const;
export type DateStyle = (typeof DATE_STYLES)[number];

/** The clock and the calendar on the studio's wall. */
export interface StudioClock {
  /** IANA name, such as "America/Denver"; null for the zone of the machine. */
  readonly zone: string | null;
  readonly dates: DateStyle;
}

// There is one studio a process and one a tab, though several builds of this module may be loaded in it.
const held = globalThis as { jitenClock?: StudioClock };

/** Sets the clock that all times are read and written by from here on. */
export function setStudioClock(clock: StudioClock): void {
  held.jitenClock = clock;
}

/** The clock that was set last; until then the machine's. */
export function studioClock(): StudioClock {
  return held.jitenClock ?? { zone: null, dates: DATE_STYLES[0] };
}

/** Whether there is a zone of that IANA name. */
export function isZone(name: string): boolean {
  return IANAZone.isValidZone(name);
}

/**
 * A moment on the studio's clock. Hours are added as they pass, days as the calendar counts them, also over a change
 * of clocks.
 *
 * @param at a moment; or a day or a time of day in the studio: "2026-11-24", "2026-11-24T18:05"
 */
export function studioTime(at: Date | string | number): DateTime {
  const on = { zone: studioClock().zone ?? 'local', locale: 'en' };
  return typeof at === 'string' ? DateTime.fromISO(at, on) : DateTime.fromMillis(new Date(at).getTime(), on);
}

/** A day of the studio's calendar: "2026-11-24". */
export function dayOf(at: Date | DateTime): string {
  return (at instanceof DateTime ? at : studioTime(at)).toFormat('yyyy-MM-dd');
}
