import { coolingLevels, simulatedKilns, simulatedPeak, type CoolingShape } from './coolingKilns';
import type { CurvePoint } from './work';

/** Below this a kiln may be cracked: quartz (573 °C) and cristobalite (about 225 °C) lie behind it. */
export const SAFE_TO_CRACK = 200;

/** When a cooling kiln will be down at a temperature: minutes on the log's clock, with an 80 % interval. */
export interface CoolingTime {
  readonly minutes: number;
  readonly low: number;
  readonly high: number;
}

/** A temperature that is estimated, with its 80 % interval, °C. */
export interface CoolingPoint {
  readonly celsius: number;
  readonly low: number;
  readonly high: number;
}

/** How a log will go on falling. */
export interface CoolingForecast {
  /** When it is at a temperature, °C; a time in the past when it is below already, null where nothing can be said. */
  readonly timeAt: (celsius: number) => CoolingTime | null;
  /** How hot it is at a minute of the log's clock; the last reading up to its own minute, null where nothing can be said. */
  readonly at: (minute: number) => CoolingPoint | null;
  /** Earlier firings that it was compared with. */
  readonly earlierFirings: number;
  /** Whether its pace changed on the way (a hold, a damper), so that only what came after counts. */
  readonly isPaceChanged: boolean;
}

/** Levels of temperature that must lie between the peak and now: about 15 % of what lies above the room. */
const FEWEST = 5;

/** Where the ends of the interval lie among all that follow the log. */
const [LOW, HIGH] = [0.1, 0.9];

/** How closely a kiln is expected to follow a log, as a share of the time it covers (judgement, tried on simulated kilns). */
const FOLLOWS = 0.006;

/** The same for an earlier firing, which had another load. */
const FOLLOWS_EARLIER = 0.02;

/** How many independent points a log counts as, at most, and how many each of its readings (tried as above). */
const POINTS = 16;
const OF_A_READING = 0.6;

/** Share of the weight that one earlier firing itself carries before it is compared. */
const OF_EARLIER = 0.3;

/** An earlier firing had another load: it may go on so much faster or slower than it followed (judgement). */
const OTHERWISE = [0.88, 0.96, 1.04, 1.12];

/** What may change from here on, as a share of the time still to go. */
const MAY_CHANGE = 0.02;

/**
 * How a log will go on cooling. The log is laid over the cooling of some 800 simulated kilns, each at the pace that
 * suits it best, and over earlier firings of the same kiln; each counts by how closely it follows, the late part
 * more than the early. A simulated kiln counts by how it follows the earlier firings too. Where a pace that changed
 * (a hold, a damper) explains the log far better, what came before the change is left out.
 *
 * @param points a log in order of time, °C; its peak may lie anywhere
 * @param earlier logs of earlier firings of the same kiln, whole
 * @example coolingForecast(log).timeAt(50) // { minutes: 2100, low: 2020, high: 2190 }
 */
export function coolingForecast(
  points: readonly CurvePoint[],
  earlier: readonly (readonly CurvePoint[])[] = [],
): CoolingForecast {
  const fall = fallOf(points);
  const known = fall && followers(fall, earlier);
  const timeAt = (celsius: number): CoolingTime | null => {
    if (!fall) return null;
    if (fall.now.celsius <= celsius) {
      const minutes = fall.points.find((point) => point.celsius <= celsius)!.minutes;
      return { minutes, low: minutes, high: minutes };
    }
    return known && timeBy(known, fall.now, celsius);
  };
  return {
    timeAt,
    at: (minute) => pointAt(timeAt, points.at(-1) ?? null, minute),
    earlierFirings: known?.earlierFirings ?? 0,
    isPaceChanged: known?.isPaceChanged ?? false,
  };
}

/** The cooling part of a log: from its peak to now. */
interface Fall {
  readonly peak: number;
  readonly points: readonly CurvePoint[];
  readonly now: CurvePoint;
}

/** The part of a log after its peak; null when it has not fallen yet. */
function fallOf(points: readonly CurvePoint[]): Fall | null {
  const top = points.reduce((best, point, i) => (point.celsius >= points[best]!.celsius ? i : best), 0);
  const [peak, now] = [points[top]?.celsius ?? 0, points.at(-1)];
  if (!now || now.celsius >= peak) return null;
  return { peak, points: points.slice(top), now };
}

/** When a fall crosses a level: half way between the first and the last time, for readings scatter. */
function crossing({ points }: Fall, level: number): number {
  const first = points.findIndex(({ celsius }) => celsius <= level);
  const last = points.findLastIndex(({ celsius }) => celsius > level);
  const between = (i: number) => {
    const [from, to] = [points[i]!, points[i + 1]!];
    const share = (from.celsius - level) / (from.celsius - to.celsius);
    // Cooling slows down between readings that lie far apart: by logarithms.
    const bent = Math.log(from.celsius / level) / Math.log(from.celsius / to.celsius);
    return from.minutes + (level > 30 && to.celsius > 30 ? bent : share) * (to.minutes - from.minutes);
  };
  return (between(first - 1) + between(last)) / 2;
}

/** A fall at levels of temperature: minutes at each from `from` to before `to`. */
interface Crossed {
  readonly minutes: Float64Array;
  readonly from: number;
  readonly to: number;
}

function crossed(fall: Fall, levels: Float64Array): Crossed {
  const from = levels.findIndex((level) => level < fall.peak - 2);
  const below = levels.findIndex((level) => level < fall.now.celsius);
  const to = below < 0 ? levels.length : below;
  const minutes = new Float64Array(levels.length).fill(Infinity);
  for (let i = from; i < to; i++) minutes[i] = crossing(fall, levels[i]!);
  return { minutes, from, to };
}

/** A kiln, or an earlier firing, laid over a log. */
interface Follower {
  readonly weight: number;
  readonly shape: CoolingShape;
  readonly pace: number;
}

/** How a shape lies over what was crossed: the pace that suits best, and how far it is off, as a share of the time. */
interface Laid {
  readonly pace: number;
  readonly miss: number;
}

/** Late levels count more: by this power of how far above the room they are, against now. */
const FADES = 1;

function laidOver(shape: CoolingShape, { minutes, from, to }: Crossed, weights: Float64Array): Laid {
  let [sum, x, y, xx, xy, yy] = [0, 0, 0, 0, 0, 0];
  for (let i = from; i < to; i++) {
    const [w, s, t] = [weights[i]!, shape[i]!, minutes[i]!];
    sum += w;
    x += w * s;
    y += w * t;
    xx += w * s * s;
    xy += w * s * t;
    yy += w * t * t;
  }
  const [sxx, sxy, syy] = [xx - (x * x) / sum, xy - (x * y) / sum, yy - (y * y) / sum];
  const pace = sxy / sxx;
  const span = minutes[to - 1]! - minutes[from]!;
  const miss = Math.sqrt(Math.max(0, syy - pace * sxy) / sum) / span;
  return pace > 0 && Number.isFinite(miss) ? { pace, miss } : { pace: NaN, miss: Infinity };
}

function weightsFor(levels: Float64Array, now: number): Float64Array {
  return levels.map((level) => ((now - 10) / (level - 10)) ** FADES);
}

/** Everything that is laid over a log, with its weight; null while too little has cooled. */
function followers(fall: Fall, earlier: readonly (readonly CurvePoint[])[]) {
  const peak = simulatedPeak(fall.peak);
  const levels = coolingLevels(peak);
  const seen = crossed(fall, levels);
  if (seen.to - seen.from < FEWEST) return null;
  const kilns = simulatedKilns(peak);
  const before = earlier
    .map(fallOf)
    .filter((one) => one !== null)
    .map((one) => crossed(one, levels))
    .filter(({ from, to }) => to - from >= FEWEST && to > seen.to);
  const window = sincePaceChanged(kilns, seen, levels);
  const weights = weightsFor(levels, fall.now.celsius);
  const counts = Math.min(POINTS, OF_A_READING * fall.points.length);
  const like = (miss: number, follows: number) => -0.5 * counts * (miss / follows) ** 2;
  const laid = kilns.map((shape) => {
    const own = laidOver(shape, window, weights);
    const past = before.map((one) =>
      like(laidOver(shape, one, weightsFor(levels, levels[one.to - 1]!)).miss, FOLLOWS_EARLIER),
    );
    const kin = past.length ? past.reduce((sum, one) => sum + one, 0) / past.length : 0;
    return { shape, own, log: kin };
  });
  const given = before.map(({ minutes }) => ({ shape: minutes, own: laidOver(minutes, window, weights) }));
  const closest = Math.min(...laid.map(({ own }) => own.miss), ...given.map(({ own }) => own.miss));
  const follows = Math.max(FOLLOWS, closest);
  const weighed = normalised(laid.map(({ own, log }) => log + like(own.miss, follows)));
  const weighedGiven = normalised(given.map(({ own }) => like(own.miss, FOLLOWS_EARLIER)));
  const share = given.length === 0 ? 0 : 1 - (1 - OF_EARLIER) ** given.length;
  const all: Follower[] = [
    ...laid.map(({ shape, own }, i) => ({ shape, pace: own.pace, weight: (1 - share) * weighed[i]! })),
    ...given.flatMap(({ shape, own }, i) =>
      OTHERWISE.map((factor) => ({
        shape,
        pace: own.pace * factor,
        weight: (share * weighedGiven[i]!) / OTHERWISE.length,
      })),
    ),
  ];
  return {
    isPaceChanged: window.from > seen.from,
    earlierFirings: given.length,
    levels,
    followers: all.filter(({ weight }) => weight > 1e-6),
  };
}

/** Weights that sum to 1 from their logarithms. */
function normalised(logs: readonly number[]): number[] {
  const most = Math.max(...logs);
  const parts = logs.map((log) => Math.exp(log - most));
  const sum = parts.reduce((total, part) => total + part, 0);
  return parts.map((part) => part / sum);
}

/** The time of shapes at a temperature between levels, straight in the logarithm they are spaced by. */
function timesAt(levels: Float64Array, celsius: number): (shape: CoolingShape) => number {
  const after = levels.findIndex((level) => level <= celsius);
  if (after < 0) return () => Infinity;
  if (after === 0) return (shape) => shape[0]!;
  const [high, low] = [levels[after - 1]! - 10, levels[after]! - 10];
  const share = Math.log(high / (celsius - 10)) / Math.log(high / low);
  return (shape) => shape[after - 1]! + share * (shape[after]! - shape[after - 1]!);
}

/** A log that no kiln follows nearer than this share of its time did something else on the way (judgement). */
const STRANGE = 0.015;
/** How much nearer kilns must follow what came after a change for it to be believed. */
const NEARER = 0.35;
/** Levels after a change that tell a pace of their own. */
const NEW_PACE = 6;

/** The levels since the pace changed, where it did; all of them otherwise. */
function sincePaceChanged(kilns: readonly CoolingShape[], seen: Crossed, levels: Float64Array): Crossed {
  const closest = (part: Crossed) => {
    const weights = weightsFor(levels, levels[part.to - 1]!);
    return kilns.reduce((least, shape) => Math.min(least, laidOver(shape, part, weights).miss), Infinity);
  };
  const all = closest(seen);
  if (all < STRANGE) return seen;
  for (let from = seen.from + 2; seen.to - from >= NEW_PACE; from += 2) {
    const part = { ...seen, from };
    if (closest(part) < NEARER * all) return part;
  }
  return seen;
}

/** When a temperature is reached by all that follow: the middle, and the ends of the interval. */
function timeBy(
  { levels, followers: all }: NonNullable<ReturnType<typeof followers>>,
  now: CurvePoint,
  celsius: number,
): CoolingTime | null {
  const [from, to] = [timesAt(levels, now.celsius), timesAt(levels, celsius)];
  const times = all
    .map(({ weight, shape, pace }) => ({ weight, left: pace * (to(shape) - from(shape)) }))
    .filter(({ left }) => Number.isFinite(left) && left >= 0)
    .sort((a, b) => a.left - b.left);
  const sum = times.reduce((total, { weight }) => total + weight, 0);
  if (sum < 0.05) return null;
  const at = (share: number) => {
    let before = 0;
    return (times.find(({ weight }) => (before += weight) >= share * sum) ?? times.at(-1)!).left;
  };
  const left = at(0.5);
  return {
    minutes: now.minutes + left,
    low: now.minutes + Math.min(at(LOW), left * (1 - MAY_CHANGE)),
    high: now.minutes + Math.max(at(HIGH), left * (1 + MAY_CHANGE)),
  };
}

/** The temperature whose time has come, looked for by halving. */
function pointAt(
  timeAt: CoolingForecast['timeAt'],
  last: CurvePoint | null,
  minute: number,
): CoolingPoint | null {
  if (!last) return null;
  if (minute <= last.minutes) return { celsius: last.celsius, low: last.celsius, high: last.celsius };
  if (!timeAt(last.celsius - 1)) return null;
  const reached = (side: keyof CoolingTime) => {
    let [cold, hot] = [10, last.celsius];
    for (let i = 0; i < 20; i++) {
      const middle = (cold + hot) / 2;
      if ((timeAt(middle)?.[side] ?? Infinity) > minute) cold = middle;
      else hot = middle;
    }
    return (cold + hot) / 2;
  };
  return { celsius: reached('minutes'), low: reached('low'), high: reached('high') };
}
