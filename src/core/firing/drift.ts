import { kelvins, text, type Message } from '../units';
import studentQuantile from '@stdlib/stats-base-dists-t-quantile';
import { inverse, Matrix, SingularValueDecomposition } from 'ml-matrix';
import { mean, sampleVariance } from 'simple-statistics';
import { climbAt, sayCone } from './endPoints';

/** One firing of a kiln as the log and the witness cones each tell it. */
export interface FiringWitness {
  /** Days on any common clock. */
  readonly day: number;
  /** Cone index the log comes to. */
  readonly logged: number;
  /** Cone index the witness cones show. */
  readonly shown: number;
}

/** Something that was changed in a kiln: elements or a thermocouple. */
export interface PartChange {
  readonly day: number;
  readonly part: string;
}

/**
 * How many degrees the log reads above what the cones saw: positive when the thermocouple reads hot, so that
 * the kiln is cooler than it says. Read from the end points at `rate`.
 *
 * @param rate °C/h, within the published rates
 * @example offsetOf(6, 5.5, 60) // 19
 */
export function offsetOf(logged: number, shown: number, rate = 60): number {
  return climbAt(logged, rate) - climbAt(shown, rate);
}

/** A value with its 95 % interval. */
export interface Estimate {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** The offset before and after a change, and how large the step is. */
export interface Step {
  readonly day: number;
  /** What was changed then, or null where the firings themselves show a step. */
  readonly part: string | null;
  readonly step: Estimate;
}

/** How a kiln's thermocouple stands. */
export interface Drift {
  /** Offset of each firing, °C, in order of time. */
  readonly offsets: readonly { readonly day: number; readonly celsius: number }[];
  /** Since the last step. */
  readonly since: number;
  /** What it is at the last firing, °C: the value of the trend there, not a mean of years. */
  readonly offset: Estimate | null;
  /** °C in 30 days since the last step; null with fewer than four firings. */
  readonly trend: Estimate | null;
  readonly steps: readonly Step[];
}

/**
 * Offset and drift of a kiln's thermocouple over its firings. The offset is measured again after every change
 * of a part that made a step, and after a step that the firings themselves show where nobody noted one. A step is
 * what a straight drift through all firings leaves over: a thermocouple that ages is not one that jumped.
 */
export function driftOf(firings: readonly FiringWitness[], changes: readonly PartChange[]): Drift {
  const offsets = [...firings]
    .sort((a, b) => a.day - b.day)
    .map(({ day, logged, shown }) => ({ day, celsius: offsetOf(logged, shown) }));
  const noted = stepsAt(
    offsets,
    [...changes].sort((a, b) => a.day - b.day),
  );
  const found = noted.some(isPlain) ? [] : surprise(offsets);
  const steps = [...noted, ...found].sort((a, b) => a.day - b.day);
  const since = Math.max(-Infinity, ...steps.filter(isPlain).map((step) => step.day));
  const recent = offsets.filter(({ day }) => day >= since);
  return {
    offsets,
    since: recent[0]?.day ?? 0,
    offset: offsetNow(recent),
    trend: trendOf(recent),
    steps,
  };
}

function isPlain({ step }: Step): boolean {
  return step.low > 0 || step.high < 0;
}

/** The offset at the last firing: on the straight line through firings that tell one, their mean otherwise. */
function offsetNow(offsets: Offsets): Estimate | null {
  const last = offsets.at(-1);
  const line = last && leastSquares(offsets, (day) => [1, day - last.day]);
  return line ? line.estimates[0]! : meanOf(offsets.map(({ celsius }) => celsius));
}

/** Firings that a line needs beyond its own constants. */
const SPARE = 2;

/**
 * Fits constants to the offsets by least squares.
 *
 * @param row what each constant is multiplied by on a day
 * @returns each constant with its 95 % interval, or null where there are too few firings to tell them apart
 */
function leastSquares(offsets: Offsets, row: (day: number) => readonly number[]) {
  const rows = offsets.map(({ day }) => [...row(day)]);
  const count = rows[0]?.length ?? 0;
  const freedom = offsets.length - count;
  if (freedom < SPARE) return null;
  const design = new Matrix(rows);
  const cross = design.transpose().mmul(design);
  const scale = Matrix.diag(cross.diagonal().map((value) => 1 / Math.sqrt(value || 1)));
  const even = scale.mmul(cross).mmul(scale);
  if (!(conditionOf(even) < 1e10)) return null;
  const spread = scale.mmul(inverse(even)).mmul(scale);
  const values = spread
    .mmul(design.transpose())
    .mmul(Matrix.columnVector(offsets.map(({ celsius }) => celsius)));
  const left = offsets.reduce(
    (sum, { celsius }, i) =>
      sum + (celsius - rows[i]!.reduce((all, x, k) => all + x * values.get(k, 0), 0)) ** 2,
    0,
  );
  const quantile = studentQuantile(0.975, freedom);
  return {
    freedom,
    estimates: values.to1DArray().map((value, k): Estimate => {
      const half = quantile * Math.sqrt((left / freedom) * spread.get(k, k));
      return { value, low: value - half, high: value + half };
    }),
  };
}

/** How near a matrix is to one that cannot be turned round. */
function conditionOf(matrix: Matrix): number {
  const { diagonal } = new SingularValueDecomposition(matrix);
  return Math.max(...diagonal) / Math.min(...diagonal);
}

/** The steps at all noted changes together, beside one drift; each by itself where there are too few firings for that. */
function stepsAt(offsets: Offsets, changes: readonly PartChange[]): Step[] {
  const days = [...new Set(changes.map(({ day }) => day))].filter((day) => parted(offsets, day));
  const first = offsets[0]?.day ?? 0;
  const all = leastSquares(offsets, (day) => [
    1,
    day - first,
    ...days.map((change) => Number(day >= change)),
  ]);
  return changes.flatMap(({ day, part }) => {
    const at = days.indexOf(day);
    const step = at < 0 ? null : all ? all.estimates[2 + at]! : stepAt(offsets, day);
    return step ? [{ day, part, step }] : [];
  });
}

/** Whether at least two firings lie before a day and two from it on. */
function parted(offsets: Offsets, day: number): boolean {
  const before = offsets.filter((one) => one.day < day).length;
  return before >= 2 && offsets.length - before >= 2;
}

/** Mean with its interval by Student's t; a single value gets the scatter of a witness cone, 8 °C (judgement). */
function meanOf(values: readonly number[]): Estimate | null {
  if (values.length === 0) return null;
  const value = mean([...values]);
  const half =
    values.length === 1
      ? 1.96 * 8
      : studentQuantile(0.975, values.length - 1) * Math.sqrt(sampleVariance([...values]) / values.length);
  return { value, low: value - half, high: value + half };
}

/** Difference of two means with Welch's interval; null where either side has fewer than two firings. */
export function offsetDifference(before: readonly number[], after: readonly number[]): Estimate | null {
  if (before.length < 2 || after.length < 2) return null;
  const parts = [before, after].map((side) => sampleVariance([...side]) / side.length);
  const [a, b] = parts as [number, number];
  const value = mean([...after]) - mean([...before]);
  if (a + b === 0) return { value, low: value, high: value };
  const freedom = (a + b) ** 2 / (a ** 2 / (before.length - 1) + b ** 2 / (after.length - 1));
  const half = studentQuantile(0.975, freedom) * Math.sqrt(a + b);
  return { value, low: value - half, high: value + half };
}

type Offsets = Drift['offsets'];

function stepAt(offsets: Offsets, day: number): Estimate | null {
  const [before, after] = [offsets.filter((one) => one.day < day), offsets.filter((one) => one.day >= day)];
  return offsetDifference(
    before.map(({ celsius }) => celsius),
    after.map(({ celsius }) => celsius),
  );
}

/** The chance of a step nobody noted where there is none, all days that were tried together. */
const BY_CHANCE = 0.04;

/** The step beside a drift that stands out most, where no chance among all days explains it; one at most. */
function surprise(offsets: Offsets): Step[] {
  const days = [...new Set(offsets.map(({ day }) => day))].filter((day) => parted(offsets, day));
  const first = offsets[0]?.day ?? 0;
  const steps = days.flatMap((day) => {
    const line = leastSquares(offsets, (at) => [1, at - first, Number(at >= day)]);
    if (!line) return [];
    const step = line.estimates[2]!;
    // In units of its own interval: beyond 1 it is plain by itself.
    const standsOut = Math.abs(step.value) / Math.max(1e-9, step.high - step.value);
    return [{ day, step, standsOut, freedom: line.freedom }];
  });
  const best = steps.reduce<(typeof steps)[number] | null>(
    (top, one) => (!top || one.standsOut > top.standsOut ? one : top),
    null,
  );
  if (!best) return [];
  const needed =
    studentQuantile(1 - BY_CHANCE / 2 / steps.length, best.freedom) / studentQuantile(0.975, best.freedom);
  return best.standsOut > needed ? [{ day: best.day, part: null, step: best.step }] : [];
}

/** Slope with its interval, per 30 days. */
function trendOf(offsets: Offsets): Estimate | null {
  const first = offsets[0]?.day ?? 0;
  const line = leastSquares(offsets, (day) => [1, (day - first) / 30]);
  return line && line.estimates[1]!;
}

/** Below this a log and its cones agree: a cone cannot be read better, °C (judgement). */
const AGREE = 5;

/**
 * What the log says against what the cones say, in one sentence.
 *
 * @param logged cone index of the log
 * @param shown cone index of the witness cones
 * @example sayOffset(6, 5.5) // "… the thermocouple reads about 19 °C hot: the kiln is cooler than it says."
 */
export function sayOffset(logged: number, shown: number): Message {
  const off = offsetOf(logged, shown);
  const both = `The log comes to cone ${sayCone(logged)}, the cones show ${sayCone(shown)}`;
  if (Math.abs(off) < AGREE) return text`${both}: they agree within ${kelvins(AGREE)}.`;
  const by = kelvins(Math.abs(off));
  return off > 0
    ? text`${both}: the thermocouple reads about ${by} hot, so the kiln is cooler than it says.`
    : text`${both}: the thermocouple reads about ${by} cold, so the kiln is hotter than it says.`;
}
