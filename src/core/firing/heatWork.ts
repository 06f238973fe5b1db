import { coneNamed, endPoint } from './endPoints';
import { coneWork } from './coneWork';
import { CONE_TABLE, TABLE_RATES } from './table';
import type { Cone } from '../vocabulary';
import { climbTo, climbWork, logSum, stretchWork, KELVIN, type CurvePoint } from './work';

/** How near its peak a firing still counts as being at it, °C. */
const NEAR_PEAK = 5;

/** What a log comes to. */
export interface HeatWork {
  /** Cone equivalent as a number, null below cone 022 and above cone 14. */
  readonly coneIndex: number | null;
  /** The nearest cone by name. */
  readonly cone: Cone | null;
  readonly peakCelsius: number;
  /** Minutes spent within 5 °C of the peak. */
  readonly minutesNearPeak: number;
}

/**
 * The cone equivalent at every point of a log: how far along the row of cones the heat work has come. Each cone's
 * work is turned into the temperature at which a steady climb, at the log's own rate over the last 100 °C, would
 * have done as much; a cone is down where that lies at or above its published end point for the rate, and the place
 * between two cones is where the difference changes its sign. It never falls.
 *
 * @param points in order of time
 * @returns cone index for each point, null below the first cone and above the last
 */
export function coneEquivalents(points: readonly CurvePoint[]): (number | null)[] {
  const row = endPointsAt(climbRate(points) ?? USUAL_RATE);
  const done = row.map(() => -Infinity);
  return points.map((point, i) => {
    const before = points[i - 1];
    if (before)
      for (const [k, { q }] of row.entries()) done[k] = logSum(done[k]!, stretchWork(before, point, q));
    return indexOf(done, row);
  });
}

/** How far beyond the first and the last cone a log still counts as at it, °C (judgement). */
const END_GIVE = 1;

/** The rate that a log without a climb of 100 °C is judged by, °C/h. */
const USUAL_RATE = 60;

/** A cone at one rate of climb: its published end point, °C, and ln of the work of a climb up to it. */
interface ConeEnd {
  readonly index: number;
  readonly q: number;
  readonly rate: number;
  readonly celsius: number;
  readonly logWork: number;
}

/** All cones at a rate, °C/h, or at the nearest that is published for each. */
function endPointsAt(rate: number): ConeEnd[] {
  return coneWork().map(({ cone, index, q }) => {
    const [slowest, , fastest] = TABLE_RATES;
    const published = Math.min(fastest, Math.max(CONE_TABLE[cone][0] === null ? 60 : slowest, rate));
    const celsius = endPoint(cone, published)!;
    return { index, q, rate: published, celsius, logWork: climbWork(celsius, published, q) };
  });
}

function indexOf(done: readonly number[], row: readonly ConeEnd[]): number | null {
  const over = (k: number) => {
    const { rate, q, celsius } = row[k]!;
    return climbTo(done[k]!, rate, q, celsius) - celsius;
  };
  const down = row.findLastIndex(({ logWork }, k) => done[k]! >= logWork);
  if (down < 0) return done[0]! > -Infinity && over(0) > -END_GIVE ? row[0]!.index : null;
  if (down === row.length - 1) return over(down) < END_GIVE ? row[down]!.index : null;
  const share = over(down) / (over(down) - over(down + 1));
  return row[down]!.index + (row[down + 1]!.index - row[down]!.index) * share;
}

/** The highest temperature of a log, °C; −Infinity for an empty one. */
export function peakOf(points: readonly CurvePoint[]): number {
  return points.reduce((peak, { celsius }) => Math.max(peak, celsius), -Infinity);
}

/**
 * The part of a log that counts: up to the last reading within 5 °C of the peak, since published end points
 * are for a climb and later cooling adds little.
 */
export function untilPeak(points: readonly CurvePoint[]): readonly CurvePoint[] {
  const peak = peakOf(points);
  return points.slice(0, points.findLastIndex((point) => point.celsius >= peak - NEAR_PEAK) + 1);
}

/**
 * Sums up a log, in order of time, to its cone equivalent.
 *
 * @throws RangeError for an empty log
 * @example heatWork(climb at 60 °C/h to 1222).cone // "6"
 */
export function heatWork(points: readonly CurvePoint[]): HeatWork {
  if (points.length === 0) throw new RangeError('a log needs at least one reading');
  const part = untilPeak(points);
  const index = coneEquivalents(part).at(-1)!;
  const peakCelsius = peakOf(part);
  return {
    coneIndex: index,
    cone: index === null ? null : coneNamed(index),
    peakCelsius,
    minutesNearPeak: minutesAbove(part, peakCelsius - NEAR_PEAK),
  };
}

/** Minutes a log is at or above a temperature, read along straight lines between its points. */
function minutesAbove(points: readonly CurvePoint[], celsius: number): number {
  return points.slice(1).reduce((sum, to, i) => {
    const from = points[i]!;
    const [low, high] = [Math.min(from.celsius, to.celsius), Math.max(from.celsius, to.celsius)];
    if (high < celsius) return sum;
    const share = low >= celsius ? 1 : (high - celsius) / (high - low);
    return sum + share * (to.minutes - from.minutes);
  }, 0);
}

/**
 * The cone equivalent if the last temperature of a climb were held for so many minutes more.
 *
 * @param points in order of time
 * @param minutes ≥ 0
 */
export function withHold(points: readonly CurvePoint[], minutes: number): number | null {
  const last = points.at(-1);
  if (!last) return null;
  return coneEquivalents([...points, { ...last, minutes: last.minutes + minutes }]).at(-1)!;
}

/**
 * Minutes of hold, `missing` °C short of the end of a climb, that do the work the last degrees would have
 * done. About T²/((q/R) rate) at the end point itself doubles the work.
 *
 * @param celsius where the climb was to end
 * @param missing how far it stayed below, °C, ≥ 0
 * @param rate of the climb, °C/h
 * @example holdFor(1222, 10, 60) // about 12
 */
export function holdFor(celsius: number, missing: number, rate: number): number {
  const cones = coneWork();
  const { q } = cones.reduce((best, cone) =>
    Math.abs(climbTo(cone.logWork, rate, cone.q) - celsius) <
    Math.abs(climbTo(best.logWork, rate, best.q) - celsius)
      ? cone
      : best,
  );
  const reached = climbWork(celsius - missing, rate, q);
  const lacking = climbWork(celsius, rate, q) + Math.log(-Math.expm1(reached - climbWork(celsius, rate, q)));
  return Math.exp(lacking + q / (celsius - missing + KELVIN));
}

/**
 * How fast a firing climbed over the last 100 °C below its peak, °C/h: the rate end points are published for.
 *
 * @returns null when the log does not hold such a climb
 */
export function climbRate(points: readonly CurvePoint[]): number | null {
  const peak = peakOf(points);
  const top = points.find((point) => point.celsius >= peak - NEAR_PEAK);
  const below = points.findLast(
    (point) => point.celsius <= peak - 100 && top !== undefined && point.minutes < top.minutes,
  );
  if (!top || !below) return null;
  return ((top.celsius - below.celsius) / (top.minutes - below.minutes)) * 60;
}
