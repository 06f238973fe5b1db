import { figures } from '../units';
import { CONES, type Cone } from '../vocabulary';
import { coneIndex } from './names';
import { CONE_TABLE, TABLE_RATES } from './table';

/** °F of a temperature in °C. @example toFahrenheit(1222) // 2231.6 */
export function toFahrenheit(celsius: number): number {
  return celsius * 1.8 + 32;
}

/** °C of a temperature in °F. @example toCelsius(2232) // 1222.2 */
export function toCelsius(fahrenheit: number): number {
  return (fahrenheit - 32) / 1.8;
}

/** Whether end points are published for a rate, °C/h: from the slowest to the fastest of the table. */
export function isPublishedRate(rate: number): boolean {
  return rate >= TABLE_RATES[0] && rate <= TABLE_RATES[2];
}

/**
 * The end point of a witness cone at a heating rate over the last 100 °C, interpolated between the published
 * rates along their logarithm, as heat work goes.
 *
 * @param rate °C/h, 15 to 150; cones 022 to 020 from 60
 * @returns °C, or null when no end point is published for that cone and rate
 * @example endPoint('6', 60) // 1222
 */
export function endPoint(cone: Cone, rate: number): number | null {
  if (!isPublishedRate(rate)) return null;
  const row = CONE_TABLE[cone];
  const right = rate <= TABLE_RATES[1] ? 1 : 2;
  const [low, high] = [row[right - 1]!, row[right]];
  if (row[right - 1] === null) return rate === TABLE_RATES[right] ? high : null;
  const share =
    Math.log(rate / TABLE_RATES[right - 1]!) / Math.log(TABLE_RATES[right] / TABLE_RATES[right - 1]!);
  return low + (high - low) * share;
}

/** Where a temperature stands in the row of cones. */
export interface ConeAt {
  /** The nearest cone by name. */
  readonly cone: Cone;
  /** Its place as a number, half way between two cones where it lies half way in degrees. */
  readonly index: number;
  /** The two cones it lies between, and how far it is from the first to the second; absent right on a cone. */
  readonly between?: readonly [Cone, Cone];
  readonly fraction?: number;
}

/**
 * The cone that a climb at `rate` °C/h has brought down when it reaches a temperature.
 *
 * @returns null below the first or above the last cone published for that rate
 * @example coneAt(1212.5, 60) // { cone: '5½', index: 5.75, between: ['5½', '6'], fraction: 0.5 }
 */
export function coneAt(celsius: number, rate: number): ConeAt | null {
  const row = CONES.map((cone) => ({ cone, celsius: endPoint(cone, rate) })).filter(
    (one): one is { cone: Cone; celsius: number } => one.celsius !== null,
  );
  const on = row.find((one) => Math.abs(one.celsius - celsius) < 1e-9);
  if (on) return { cone: on.cone, index: coneIndex(on.cone)! };
  const after = row.findIndex((one) => one.celsius > celsius);
  if (after < 1) return null;
  const [low, high] = [row[after - 1]!, row[after]!];
  const fraction = (celsius - low.celsius) / (high.celsius - low.celsius);
  const [from, to] = [coneIndex(low.cone)!, coneIndex(high.cone)!];
  return {
    cone: fraction < 0.5 ? low.cone : high.cone,
    index: from + (to - from) * fraction,
    between: [low.cone, high.cone],
    fraction,
  };
}

/**
 * °C at which a climb at a published rate stands at a cone index, straight between the cones of the series;
 * the inverse of {@link coneAt}.
 */
export function climbAt(index: number, rate: number): number {
  const row = CONES.map((cone) => ({ at: coneIndex(cone)!, celsius: endPoint(cone, rate) })).filter(
    (one): one is { at: number; celsius: number } => one.celsius !== null,
  );
  const after = Math.min(
    row.length - 1,
    Math.max(
      1,
      row.findIndex((one) => one.at >= index),
    ),
  );
  const [low, high] = [row[after - 1]!, row[after]!];
  return low.celsius + ((index - low.at) / (high.at - low.at)) * (high.celsius - low.celsius);
}

/** The name of the cone nearest to an index; null outside the series. @example coneNamed(5.3) // "5½" */
export function coneNamed(index: number): Cone | null {
  const [first, last] = [coneIndex(CONES[0])!, coneIndex(CONES.at(-1)!)!];
  if (!(index >= first - 0.5 && index <= last + 0.5)) return null;
  return CONES.reduce((best, cone) =>
    Math.abs(coneIndex(cone)! - index) < Math.abs(coneIndex(best)! - index) ? cone : best,
  );
}

/**
 * A cone index in words, to a tenth of a cone between its neighbours.
 *
 * @example sayCone(6) // "6" · sayCone(5.7) // "5.7" · sayCone(-2.6) // "between 04 and 03"
 */
export function sayCone(index: number): string {
  const rounded = Math.round(index * 10) / 10;
  const exact = CONES.find((cone) => coneIndex(cone) === rounded);
  if (exact) return exact;
  if (rounded > 1) return figures(rounded, 1);
  const after = CONES.findIndex((cone) => coneIndex(cone)! > rounded);
  return after < 1 ? `below ${CONES[0]}` : `between ${CONES[after - 1]} and ${CONES[after]}`;
}
