/** One temperature of a firing: minutes from its start, °C. */
export interface CurvePoint {
  readonly minutes: number;
  readonly celsius: number;
}

export const KELVIN = 273.15;

/** The most that q/T may change within one step of the integral. */
const FINEST = 2;

/** ln(e^a + e^b) without leaving the domain of logarithms; −Infinity is nothing. */
export function logSum(a: number, b: number): number {
  const [low, high] = a < b ? [a, b] : [b, a];
  // Beyond 40 the smaller one is lost in the rounding of the larger.
  return low < high - 40 || high === -Infinity ? high : high + Math.log1p(Math.exp(low - high));
}

/** ln of the mean of an exponential that goes from e^a to e^b along a step. */
function logMean(a: number, b: number): number {
  const d = Math.abs(a - b);
  if (d < 0.1) return (a + b) / 2 + (d * d) / 24;
  return Math.max(a, b) + Math.log(-Math.expm1(-d) / d);
}

/**
 * ln of the heat work of a straight stretch, ∫ exp(−q/T) dt with t in minutes and T in kelvin. The exponent
 * is taken as straight within steps so short that the error stays below 1e-3 of the work; nothing underflows, however cold.
 *
 * @param q activation energy over the gas constant, K
 */
export function stretchWork(from: CurvePoint, to: CurvePoint, q: number): number {
  const minutes = to.minutes - from.minutes;
  if (minutes <= 0) return -Infinity;
  const first = -q / (from.celsius + KELVIN);
  const last = -q / (to.celsius + KELVIN);
  const steps = Math.ceil(Math.abs(last - first) / FINEST);
  if (steps <= 1) return logMean(first, last) + Math.log(minutes);
  const rise = (to.celsius - from.celsius) / steps;
  let sum = -Infinity;
  let before = first;
  for (let i = 1; i <= steps; i++) {
    const exponent = -q / (from.celsius + rise * i + KELVIN);
    sum = logSum(sum, logMean(before, exponent));
    before = exponent;
  }
  return sum + Math.log(minutes / steps);
}

/**
 * ln of the heat work of a steady climb at `rate` °C/h from cold up to `celsius`.
 *
 * @param q activation energy over the gas constant, K
 */
export function climbWork(celsius: number, rate: number, q: number): number {
  const from = Math.max(-KELVIN + 50, celsius - 400);
  return stretchWork({ minutes: 0, celsius: from }, { minutes: ((celsius - from) / rate) * 60, celsius }, q);
}

/**
 * The temperature, °C, at which a steady climb has done so much work; the inverse of {@link climbWork}.
 *
 * @param near °C to start looking from
 */
export function climbTo(logWork: number, rate: number, q: number, near = 1100): number {
  let celsius = near;
  for (let i = 0; i < 20; i++) {
    const miss = logWork - climbWork(celsius, rate, q);
    if (Math.abs(miss) < 1e-10) break;
    celsius += (miss * (celsius + KELVIN) ** 2) / (q + 2 * (celsius + KELVIN));
  }
  return celsius;
}
