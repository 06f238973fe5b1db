import { toCelsius } from './endPoints';
import type { CurvePoint } from './work';

/** One line of a raw log; a temperature that the sensor did not give is null. */
export interface RawReading {
  readonly minutes: number;
  readonly temperature: number | null;
}

/** Faster than any kiln climbs or falls between two readings, °C a minute (judgement): a spike of the sensor. */
const SPIKE = 40;

/** A log put in order. */
export interface TidyLog {
  readonly points: readonly CurvePoint[];
  /** Readings left out as spikes of the sensor. */
  readonly spikes: number;
  /** Stretches without a reading, minutes from and to. */
  readonly gaps: readonly { readonly from: number; readonly to: number }[];
}

/**
 * Puts raw readings in order: sorted by time, the last one wins where two share a minute, °F turned into °C,
 * single spikes left out, gaps named. A gap is longer than three times the usual step there and than 3 minutes.
 */
export function tidyLog(readings: readonly RawReading[], unit: 'C' | 'F' = 'C'): TidyLog {
  const byMinute = new Map<number, number>();
  for (const { minutes, temperature } of readings)
    if (temperature !== null && Number.isFinite(temperature) && Number.isFinite(minutes))
      byMinute.set(minutes, unit === 'F' ? toCelsius(temperature) : temperature);
  const all = [...byMinute]
    .map(([minutes, celsius]) => ({ minutes, celsius }))
    .sort((a, b) => a.minutes - b.minutes);
  const points = all.filter((point, i) => !isSpike(all[i - 1], point, all[i + 1]));
  return { points, spikes: all.length - points.length, gaps: gapsIn(points) };
}

function isSpike(before: CurvePoint | undefined, at: CurvePoint, after: CurvePoint | undefined): boolean {
  if (!before || !after) return false;
  const pace = (from: CurvePoint, to: CurvePoint) =>
    (to.celsius - from.celsius) / (to.minutes - from.minutes);
  const [up, down] = [pace(before, at), pace(at, after)];
  return Math.abs(up) > SPIKE && Math.abs(down) > SPIKE && up * down < 0;
}

/** How many steps around one tell what is usual there: a log may be read more seldom while it cools. */
const AROUND = 6;

function gapsIn(points: readonly CurvePoint[]): { from: number; to: number }[] {
  const steps = points.slice(1).map((point, i) => point.minutes - points[i]!.minutes);
  return steps.flatMap((step, i) => {
    if (step <= 3) return [];
    const near = steps.slice(Math.max(0, i - AROUND), i + AROUND + 1).sort((a, b) => a - b);
    const usual = near[Math.floor(near.length / 2)]!;
    return step > 3 * usual ? [{ from: points[i]!.minutes, to: points[i + 1]!.minutes }] : [];
  });
}

/**
 * One log from several thermocouples: the mean of those that speak, at every minute at which one does, each
 * read along straight lines between its own readings and only within its own time.
 */
export function meanOfSensors(sensors: readonly (readonly CurvePoint[])[]): CurvePoint[] {
  const minutes = [...new Set(sensors.flatMap((points) => points.map((point) => point.minutes)))].sort(
    (a, b) => a - b,
  );
  return minutes.map((minute) => {
    const said = sensors.map((points) => readAt(points, minute)).filter((value) => value !== null);
    return { minutes: minute, celsius: said.reduce((sum, value) => sum + value, 0) / said.length };
  });
}

/** The temperature of a log at a minute, along straight lines; null before its start and after its end. */
export function readAt(points: readonly CurvePoint[], minute: number): number | null {
  let [low, high] = [0, points.length - 1];
  if (high < 0 || minute < points[0]!.minutes || minute > points[high]!.minutes) return null;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (points[middle]!.minutes <= minute) low = middle;
    else high = middle;
  }
  const [a, b] = [points[low]!, points[high]!];
  const share = b.minutes === a.minutes ? 0 : (minute - a.minutes) / (b.minutes - a.minutes);
  return a.celsius + (b.celsius - a.celsius) * share;
}
