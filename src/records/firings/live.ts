import {
  alarmsOf,
  coneEquivalents,
  coolingForecast,
  plannedCurve,
  SAFE_TO_CRACK,
  peakOf,
  sayCone,
  tidyLog,
  type Alarm,
  type CoolingForecast,
  type CoolingPoint,
  type CoolingTime,
  type CurvePoint,
} from '@/core/firing';
import { staysInKiln } from '@/core/vocabulary';
import { cachedUntilWrite } from '@/records/platform/cache';
import { currentRevision } from '@/records/platform/revision';
import { lastCurves } from './lastCurves';
import type { Db } from '@/records/platform/db';
import type { Firing } from './firings';
import {
  curveFrom,
  curveOf,
  eventsOf,
  forDrawing,
  lastLine,
  logPointsOf,
  sourcesOf,
  type LogSource,
  type LogPoint,
  type StoredEvent,
} from './logs';

/** Logs whose calculation is kept: those of the kilns in use. */
const LOGS_KEPT = 8;

/** When something will be, on the wall's clock. */
export interface ClockTime {
  readonly at: Date;
  readonly from: Date;
  readonly to: Date;
  /** It is so already: read, or by the latest estimate where the log has ended. */
  readonly reached: boolean;
}

/** A firing as its page shows it while it happens, and afterwards. */
export interface FiringLog {
  /** Kiln minutes since it started. */
  readonly minutes: number;
  /** The last temperature known, °C, and when, in minutes. */
  readonly last: CurvePoint | null;
  /** The highest temperature read, °C; null for none. */
  readonly hottest: number | null;
  /** How hot a cooling kiln is by now, where its log has ended before. */
  readonly inside: CoolingPoint | null;
  /** Lines of the controller or file, thinned for drawing, one list a thermocouple. */
  readonly sensors: readonly (readonly LogPoint[])[];
  /** Where nothing was heard, minutes from and to. */
  readonly gaps: readonly { readonly from: number; readonly to: number }[];
  /** Cone equivalent as it climbed. */
  readonly equivalents: readonly { readonly minutes: number; readonly index: number }[];
  readonly planned: readonly CurvePoint[] | null;
  readonly events: readonly StoredEvent[];
  readonly sources: readonly LogSource[];
  readonly alarms: readonly Alarm[];
  readonly coneIndex: number | null;
  readonly cone: string | null;
  readonly crack: ClockTime | null;
  readonly open: ClockTime | null;
  /** What these times rest on; null where none is told. */
  readonly cooling: Pick<CoolingForecast, 'earlierFirings' | 'isPaceChanged'> | null;
}

/**
 * Everything a firing's page draws.
 *
 * @param kiln its opening limit and its highest temperature, °C
 * @param now for a kiln that is read by hand
 */
export async function logOf(
  base: Db,
  firing: Firing,
  kiln: { readonly openBelow: number; readonly mostCelsius: number },
  now: Date,
): Promise<FiringLog> {
  const [sources, events] = await Promise.all([sourcesOf(base, firing.id), eventsOf(base, firing.id)]);
  const source = sources.at(-1);
  const lines = source ? await lastLine(base, source.id) : 0;
  const { sensors, raw, curve, equivalents, gaps } =
    source && lines > 0 ? await drawnLog(base, source.id, String(lines)) : drawn([], events);
  const last = curve.at(-1) ?? null;
  const coneIndex = equivalents.at(-1)?.index ?? null;
  const minutes = raw.at(-1)?.minutes ?? elapsed(firing, now);
  const cools = (firing.state === 'cooling' || firing.state === 'open') && staysInKiln(firing.cone);
  const cooling = cools
    ? await coolingOfFiring(
        base,
        `${firing.id} ${firing.kilnId}`,
        `${await currentRevision(base)} ${curve.length} ${last?.minutes}`,
      )
    : null;
  const clock = (celsius: number) => {
    const time = cooling?.timeAt(celsius) ?? null;
    return time && onTheClock(time, firing, source ?? null, minutes, now);
  };
  const [crack, open] = [clock(SAFE_TO_CRACK), clock(kiln.openBelow)];
  return {
    minutes,
    last,
    hottest: curve.length === 0 ? null : peakOf(curve),
    inside: cooling && !source?.live ? cooling.at(elapsed(firing, now)) : null,
    sensors,
    gaps,
    equivalents: every(equivalents, 300),
    planned: firing.segments && plannedCurve(firing.segments),
    events,
    sources,
    alarms: firing.state === 'firing' ? alarmsOf(raw.slice(-60), kiln.mostCelsius) : [],
    coneIndex,
    cone: coneIndex === null ? null : sayCone(coneIndex),
    crack,
    open,
    cooling: crack &&
      cooling && { earlierFirings: cooling.earlierFirings, isPaceChanged: cooling.isPaceChanged },
  };
}

/** What a log comes to, whatever the hour; hand readings count where no log has a line. */
function drawn(sensors: readonly (readonly LogPoint[])[], events: readonly StoredEvent[]) {
  const curve = curveFrom(sensors, events);
  return {
    raw: sensors[0] ?? [],
    curve,
    sensors: sensors.map(forDrawing),
    gaps: tidyLog(curve.map((point) => ({ minutes: point.minutes, temperature: point.celsius }))).gaps,
    equivalents: coneEquivalents(curve).flatMap((index, i) =>
      index === null ? [] : [{ minutes: curve[i]!.minutes, index }],
    ),
  };
}

/** {@link drawn} of a log, kept until a line is added to it. */
const drawnLog = cachedUntilWrite(
  async (base, sourceId) => drawn(await logPointsOf(base, sourceId), []),
  LOGS_KEPT,
);

/** Earlier firings of a kiln that one which cools is compared with. */
const COMPARED = 3;

/** How a firing goes on cooling, by itself and by the last firings of its kiln; by both their ids, until its log grows. */
const coolingOfFiring = cachedUntilWrite(async (base, key) => {
  const [id, kilnId] = key.split(' ') as [string, string];
  const [curve, last] = await Promise.all([
    curveOf(base, id),
    lastCurves(base, kilnId, await currentRevision(base)),
  ]);
  const others = last.filter(({ firingId }) => firingId !== id).slice(0, COMPARED);
  return coolingForecast(
    curve,
    others.map((one) => one.curve),
  );
}, LOGS_KEPT);

function elapsed({ startedAt, endedAt, state }: Firing, now: Date): number {
  if (!startedAt) return 0;
  const until = state === 'firing' || state === 'cooling' ? now : (endedAt ?? now);
  return Math.max(0, (until.getTime() - startedAt.getTime()) / 60_000);
}

/** A time of the log on the wall's clock; a stand-in's log runs faster than that. */
function onTheClock(
  { minutes, low, high }: CoolingTime,
  { startedAt }: Firing,
  source: LogSource | null,
  lastMinute: number,
  now: Date,
): ClockTime {
  const speed = source?.speed ?? 1;
  const anchor = source?.live
    ? { at: (source.heardAt ?? now).getTime(), minute: lastMinute }
    : { at: (startedAt ?? now).getTime(), minute: 0 };
  const at = (minute: number) => new Date(anchor.at + ((minute - anchor.minute) * 60_000) / speed);
  const isRead = minutes <= lastMinute && low === high;
  const isPast = !source?.live && at(high) <= now;
  return { at: at(minutes), from: at(low), to: at(high), reached: isRead || isPast };
}

/** At most so many of a list, its ends among them. */
function every<T>(list: readonly T[], most: number): T[] {
  const step = Math.max(1, Math.ceil(list.length / most));
  return list.filter((_, i) => i % step === 0 || i === list.length - 1);
}
