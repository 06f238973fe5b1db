import type { DateTime } from 'luxon';
import { studioTime } from '../time';
import type { Atmosphere, Heat } from '../vocabulary';

/** When somebody is in the studio, "HH:MM"; null on a day it is shut. Sunday is 0. */
export interface StudioHours {
  readonly days: readonly ({ readonly opens: string; readonly closes: string } | null)[];
  /** No flame burns in these hours (neighbours); null where it may. May run over midnight. */
  readonly quiet: { readonly from: string; readonly to: string } | null;
}

/** Usual hours, until a studio says its own. */
export const USUAL_HOURS: StudioHours = {
  days: Array.from({ length: 7 }, (_, day) => (day === 0 ? null : { opens: '09:00', closes: '21:00' })),
  quiet: { from: '22:00', to: '07:00' },
};

/** What a firing needs of time. */
export interface FiringNeed {
  readonly firingHours: number;
  /** From its end until it is cool enough to open. */
  readonly coolingHours: number;
  /** A flame keeps the quiet hours. */
  readonly flame: boolean;
  /** Somebody must be there from start to end: no controller. */
  readonly attended: boolean;
}

/** A firing on the calendar. */
export interface Slot {
  readonly start: Date;
  readonly end: Date;
  /** Cool enough. */
  readonly cool: Date;
  /** The first moment from then on that somebody is there to open it. */
  readonly opens: Date;
}

const HOUR = 3_600_000;

function clock(day: DateTime, time: string): DateTime {
  const [hour, minute] = time.split(':').map(Number);
  return day.startOf('day').set({ hour: hour!, minute: minute! });
}

/** Whether somebody is in the studio at a time. */
export function isOpenAt({ days }: Pick<StudioHours, 'days'>, at: Date): boolean {
  const day = studioTime(at);
  const hours = days[day.weekday % 7];
  return Boolean(hours && day >= clock(day, hours.opens) && day < clock(day, hours.closes));
}

/** The first moment from `at` on that somebody is in; `at` itself when it never opens. */
export function nextOpen(hours: Pick<StudioHours, 'days'>, at: Date): Date {
  if (isOpenAt(hours, at)) return at;
  for (let ahead = 0; ahead < 8; ahead++) {
    const day = studioTime(at).plus({ days: ahead });
    const open = hours.days[day.weekday % 7];
    if (open && clock(day, open.opens).toJSDate() >= at) return clock(day, open.opens).toJSDate();
  }
  return at;
}

function isQuiet({ quiet }: StudioHours, at: DateTime): boolean {
  if (!quiet) return false;
  const [from, to] = [clock(at, quiet.from), clock(at, quiet.to)];
  return quiet.from <= quiet.to ? at >= from && at < to : at >= from || at < to;
}

/** The times of a firing that starts at a moment. */
export function slotAt(hours: StudioHours, start: Date, { firingHours, coolingHours }: FiringNeed): Slot {
  const end = new Date(start.getTime() + firingHours * HOUR);
  const cool = new Date(end.getTime() + coolingHours * HOUR);
  return { start, end, cool, opens: nextOpen(hours, cool) };
}

/** What a start at a moment runs into, in words; nothing when it can be done. */
export function clashesOf(hours: StudioHours, start: Date, need: FiringNeed): string[] {
  const { end } = slotAt(hours, start, need);
  const steps = Array.from({ length: Math.ceil(need.firingHours * 2) + 1 }, (_, i) =>
    studioTime(start).plus({ minutes: Math.min(i * 30, need.firingHours * 60 - 1) }),
  );
  const there = steps.every((at) => isOpenAt(hours, at.toJSDate()));
  return [
    ...(isOpenAt(hours, start) ? [] : ['nobody is in to start it']),
    ...(need.attended && isOpenAt(hours, start) && !there ? ['nobody is in until it ends'] : []),
    ...(need.flame && steps.some((at) => isQuiet(hours, at)) && start < end
      ? ['it burns in the quiet hours']
      : []),
  ];
}

const GRID_MINUTES = 30;
const LOOK_AHEAD_DAYS = 28;

/**
 * The first start from `from` on at which a firing runs into nothing, on the half hour.
 *
 * @returns null when there is none within four weeks
 */
export function firstSlot(hours: StudioHours, from: Date, need: FiringNeed): Slot | null {
  const begin = studioTime(from);
  const past = begin.minute % GRID_MINUTES || begin.second || begin.millisecond;
  let at = past
    ? begin.startOf('minute').plus({ minutes: GRID_MINUTES - (begin.minute % GRID_MINUTES) })
    : begin;
  const end = at.plus({ days: LOOK_AHEAD_DAYS });
  for (; at < end; at = at.plus({ minutes: GRID_MINUTES }))
    if (clashesOf(hours, at.toJSDate(), need).length === 0) return slotAt(hours, at.toJSDate(), need);
  return null;
}

/** A piece that waits, as the queue counts it. */
export interface Queued {
  readonly id: string;
  readonly cone: Heat;
  readonly atmosphere: Atmosphere;
  /** Shelf it takes, mm². */
  readonly area: number;
  /** "YYYY-MM-DD", or null. */
  readonly dueOn: string | null;
}

/** A kiln as the queue fills it. */
export interface QueueKiln {
  readonly id: string;
  readonly heat: 'electric' | 'gas' | 'wood';
  /** Area of all its shelves, mm². */
  readonly area: number;
}

/** Pieces that want the same fire, and how much of a kiln they fill. */
export interface QueueLoad {
  readonly cone: Heat;
  readonly atmosphere: Atmosphere;
  readonly pieces: readonly Queued[];
  readonly dueOn: string | null;
  /** Kilns that can fire it, the one it fills best first, with the share filled (1 = full; may be more). */
  readonly kilns: readonly { readonly id: string; readonly filled: number }[];
}

/** Of a shelf this share can be covered by ware with a finger between (judgement). */
const COVERED = 0.6;

/** A kiln that is fuller than this is worth firing (judgement). */
export const WORTH_FIRING = 0.6;

/**
 * Sorts what waits into loads: one for each cone and atmosphere, the most pressing first (earliest due, then
 * fullest). An electric kiln cannot reduce.
 */
export function loadsWaiting(waiting: readonly Queued[], kilns: readonly QueueKiln[]): QueueLoad[] {
  const groups = new Map<string, Queued[]>();
  for (const piece of waiting) {
    const key = `${piece.cone} ${piece.atmosphere}`;
    groups.set(key, [...(groups.get(key) ?? []), piece]);
  }
  const loads = [...groups.values()].map((pieces): QueueLoad => {
    const { cone, atmosphere } = pieces[0]!;
    const area = pieces.reduce((sum, piece) => sum + piece.area, 0);
    const able = kilns
      .filter(({ heat }) => atmosphere !== 'reduction' || heat !== 'electric')
      .map(({ id, area: all }) => ({ id, filled: area / (all * COVERED) }));
    const fit = ({ filled }: { filled: number }) => (filled > 1 ? 2 - 1 / filled : 1 - filled);
    return {
      cone,
      atmosphere,
      pieces,
      dueOn:
        pieces
          .map(({ dueOn }) => dueOn)
          .filter((day) => day !== null)
          .sort()[0] ?? null,
      kilns: able.sort((a, b) => fit(a) - fit(b)),
    };
  });
  const first = (load: QueueLoad) => load.kilns[0]?.filled ?? 0;
  return loads.sort((a, b) => (a.dueOn ?? '9').localeCompare(b.dueOn ?? '9') || first(b) - first(a));
}
