import { kelvins, text, type Message } from '../units';
import studentQuantile from '@stdlib/stats-base-dists-t-quantile';
import { linearRegression, mean, sampleVariance } from 'simple-statistics';
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
  readonly offset: Estimate | null;
  /** °C in 30 days since the last step; null with fewer than four firings. */
  readonly trend: Estimate | null;
  readonly steps: readonly Step[];
}

/** The least share of the scatter a step nobody noted must explain: t of about 4, since every day is tried. */
const SURPRISING = 4;

/**
 * Offset and drift of a kiln's thermocouple over its firings. The offset is measured again after every change
 * of a part that made a step, and after a step that the firings themselves show where nobody noted one.
 */
export function driftOf(firings: readonly FiringWitness[], changes: readonly PartChange[]): Drift {
  const offsets = [...firings]
    .sort((a, b) => a.day - b.day)
    .map(({ day, logged, shown }) => ({ day, celsius: offsetOf(logged, shown) }));
  const noted = changes
    .map(({ day, part }) => stepAt(offsets, day, part))
    .filter((step): step is Step => step !== null);
  const found = noted.some(isPlain) ? [] : surprise(offsets);
  const steps = [...noted, ...found].sort((a, b) => a.day - b.day);
  const since = Math.max(-Infinity, ...steps.filter(isPlain).map((step) => step.day));
  const recent = offsets.filter(({ day }) => day >= since);
  return {
    offsets,
    since: recent[0]?.day ?? 0,
    offset: meanOf(recent.map(({ celsius }) => celsius)),
    trend: trendOf(recent),
    steps,
  };
}

function isPlain({ step }: Step): boolean {
  return step.low > 0 || step.high < 0;
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

function stepAt(offsets: Offsets, day: number, part: string | null): Step | null {
  const sides = [offsets.filter((one) => one.day < day), offsets.filter((one) => one.day >= day)];
  const [before, after] = sides.map((side) => side.map(({ celsius }) => celsius)) as [number[], number[]];
  const step = offsetDifference(before, after);
  return step && { day, part, step };
}

/** The step that explains most, where it stands well out of the scatter; one at most. */
function surprise(offsets: Offsets): Step[] {
  const steps = offsets
    .slice(2, -1)
    .map(({ day }) => stepAt(offsets, day, null))
    .filter((step): step is Step => step !== null);
  const standsOut = ({ step }: Step) => Math.abs(step.value) / Math.max(1e-9, (step.high - step.low) / 3.92);
  const best = steps.reduce<Step | null>(
    (top, one) => (!top || standsOut(one) > standsOut(top) ? one : top),
    null,
  );
  return best && standsOut(best) > SURPRISING ? [best] : [];
}

/** Slope with its interval, per 30 days. */
function trendOf(offsets: Offsets): Estimate | null {
  const n = offsets.length;
  if (n < 4) return null;
  const points = offsets.map(({ day, celsius }) => [day, celsius]);
  const { m, b } = linearRegression(points);
  const middle = mean(offsets.map(({ day }) => day));
  const spread = offsets.reduce((sum, { day }) => sum + (day - middle) ** 2, 0);
  if (spread === 0) return null;
  const left = offsets.reduce((sum, { day, celsius }) => sum + (celsius - m * day - b) ** 2, 0);
  const half = studentQuantile(0.975, n - 2) * Math.sqrt(left / (n - 2) / spread);
  return { value: 30 * m, low: 30 * (m - half), high: 30 * (m + half) };
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
