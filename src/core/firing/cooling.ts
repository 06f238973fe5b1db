import { linearRegression } from 'simple-statistics';
import { ROOM } from './programme';
import type { CurvePoint } from './work';

/** Below this a kiln may be cracked: quartz (573 °C) and cristobalite (about 225 °C) lie behind it. */
export const SAFE_TO_CRACK = 200;

/** When a cooling kiln will be down at a temperature: minutes on the log's clock, with a 95 % interval. */
export interface CoolingTime {
  readonly minutes: number;
  readonly low: number;
  readonly high: number;
}

/** What a fit is drawn from: the last stretch of cooling down to where it is now. */
const SPAN = 0.45;
const FEWEST = 5;

/** The powers tried: 1 is Newton's law, above it a kiln that cools ever more slowly. */
const POWERS = Array.from({ length: 17 }, (_, i) => 1 + i * 0.05);

/** How well a law of cooling that held so far may be trusted to hold on, share of the time still to go (judgement). */
const LAW = 0.05;

/**
 * When a cooling kiln will be at a temperature. Fits dθ/dt = −k θ^p, θ being degrees above the room, to the
 * last stretch of the log for p between 1 and 1.8: for each p the law is a straight line in θ^(1 − p), or in
 * ln θ for p = 1. The interval holds what every p says that fits nearly as well (F about 4), and what a law
 * that held so far may change.
 *
 * @param points the log in order of time
 * @param target °C
 * @param room °C
 * @returns null when it is not cooling yet, too little of it is known, or the target is not above the room;
 *   a time in the past when it is below already
 */
export function coolingTime(
  points: readonly CurvePoint[],
  target: number,
  room: number = ROOM,
): CoolingTime | null {
  const now = points.at(-1);
  if (!now || target <= room) return null;
  if (now.celsius > target) return timeBy(lawsOf(points, room), now, target);
  const first = points.slice(peakAt(points)).find((point) => point.celsius <= target)!;
  return { minutes: first.minutes, low: first.minutes, high: first.minutes };
}

/** Where a log is hottest. */
const peakAt = (points: readonly CurvePoint[]): number =>
  points.reduce((best, point, i) => (point.celsius > points[best]!.celsius ? i : best), 0);

/** A law of cooling of one power, fitted: when it reaches a temperature, and how far it misses, °C². */
interface Law {
  readonly minutesAt: (celsius: number) => number;
  readonly misfit: number;
}

/** The laws of every power fitted to the last stretch, and of how many readings that is; none when it is too short. */
function lawsOf(points: readonly CurvePoint[], room: number): { laws: readonly Law[]; readings: number } {
  const now = points.at(-1)!;
  const start = room + (now.celsius - room) / (1 - SPAN);
  const stretch = points
    .slice(peakAt(points))
    .filter((point) => point.celsius <= start && point.celsius > room + 1);
  const isEnough = stretch.length >= FEWEST && stretch[0]!.celsius - now.celsius >= 5;
  return {
    laws: isEnough ? POWERS.map((power) => lawOf(stretch, power, room)) : [],
    readings: stretch.length,
  };
}

/** The straight line of one power. */
function lawOf(stretch: readonly CurvePoint[], power: number, room: number): Law {
  const law = (celsius: number) => {
    const above = celsius - room;
    return power === 1 ? Math.log(above) : above ** (1 - power);
  };
  const back = (value: number) => (power === 1 ? Math.exp(value) : value ** (1 / (1 - power))) + room;
  const { m, b } = linearRegression(stretch.map((point) => [point.minutes, law(point.celsius)]));
  return {
    minutesAt: (celsius) => (law(celsius) - b) / m,
    misfit: stretch.reduce((sum, point) => sum + (back(m * point.minutes + b) - point.celsius) ** 2, 0),
  };
}

/** When the target is reached, by the laws that fit and come to it. */
function timeBy(
  { laws, readings }: ReturnType<typeof lawsOf>,
  now: CurvePoint,
  target: number,
): CoolingTime | null {
  const fits = laws
    .map(({ minutesAt, misfit }) => ({ minutes: minutesAt(target), misfit }))
    .filter(({ minutes }) => Number.isFinite(minutes) && minutes >= now.minutes);
  const best = fits.reduce((a, b) => (b.misfit < a.misfit ? b : a), fits[0]!);
  if (!best) return null;
  const floor = 0.01 * readings;
  const near = fits.filter(
    ({ misfit }) => (misfit + floor) / (best.misfit + floor) < 1 + 4 / Math.max(1, readings - 3),
  );
  const times = near.map(({ minutes }) => minutes);
  const slack = LAW * (best.minutes - now.minutes);
  return {
    minutes: best.minutes,
    low: Math.max(now.minutes, Math.min(...times) - slack),
    high: Math.max(...times) + slack,
  };
}

/** A temperature that is foretold, with its 95 % interval, °C. */
export interface CoolingPoint {
  readonly celsius: number;
  readonly low: number;
  readonly high: number;
}

/**
 * How hot a cooling kiln is by now, when its log has ended before: the temperature whose time has come.
 *
 * @param minute on the log's clock
 * @returns the last reading itself up to its own minute; null when {@link coolingTime} cannot tell
 */
export function coolingPoint(
  points: readonly CurvePoint[],
  minute: number,
  room: number = ROOM,
): CoolingPoint | null {
  const last = points.at(-1);
  if (!last) return null;
  if (minute <= last.minutes) return { celsius: last.celsius, low: last.celsius, high: last.celsius };
  const fitted = lawsOf(points, room);
  if (!timeBy(fitted, last, (last.celsius + room) / 2)) return null;
  const reached = (side: keyof CoolingTime) => {
    let [cold, hot] = [room + 0.5, last.celsius];
    for (let i = 0; i < 24; i++) {
      const middle = (cold + hot) / 2;
      if ((timeBy(fitted, last, middle)?.[side] ?? Infinity) > minute) cold = middle;
      else hot = middle;
    }
    return (cold + hot) / 2;
  };
  return { celsius: reached('minutes'), low: reached('low'), high: reached('high') };
}
