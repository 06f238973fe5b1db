import { Matrix, solve } from 'ml-matrix';
import { CONES, type Cone } from '../vocabulary';
import { coneIndex } from './names';
import { CONE_TABLE, TABLE_RATES } from './table';
import { climbTo, climbWork, KELVIN } from './work';

/** How a cone answers heat: it is down when ∫ exp(−q/T) dt reaches its work. */
export interface ConeWork {
  readonly cone: Cone;
  readonly index: number;
  /** Activation energy over the gas constant, K. */
  readonly q: number;
  /** ln of the work at its end point, minutes. */
  readonly logWork: number;
}

/**
 * Weight of the smoothness of the row against the table. 1 is the least that keeps the row of cones in order
 * at every climb from 2 to 300 °C/h and hold to 24 h, with some room.
 */
const SMOOTH = 1;

/**
 * Fits the constants of all cones to their published end points. Two rates of one row would fix q exactly
 * and prove nothing, and cones fitted apart change order on very slow climbs; so what q shows in (degrees a
 * rate costs, dT/d ln rate) is smoothed along the series by second differences (Whittaker), and each cone's
 * work is then set so that its largest miss is as small as it can be.
 *
 * @param rates the columns of the table to fit on, 0 to 2; leave one out to judge the fit by it
 */
export function fitConeWork(rates: readonly number[] = [0, 1, 2]): ConeWork[] {
  const rows = CONES.map((cone) =>
    rates.flatMap((i) => {
      const celsius = CONE_TABLE[cone][i];
      return celsius === null ? [] : [{ rate: TABLE_RATES[i]!, celsius: celsius! }];
    }),
  );
  const costs = smoothed(rows.map(costOfRate));
  return CONES.map((cone, i) => {
    const at60 = CONE_TABLE[cone][1];
    const q = (at60 + KELVIN) ** 2 / costs[i]!;
    return { cone, index: coneIndex(cone)!, q, logWork: workOf(rows[i]!, q, at60) };
  });
}

interface EndPoint {
  readonly rate: number;
  readonly celsius: number;
}

/** Degrees that a rate e times as fast costs a cone, by least squares, and how firmly its row says so. */
function costOfRate(row: readonly EndPoint[]): { value: number; weight: number } {
  if (row.length < 2) return { value: 0, weight: 0 };
  const mean = (of: (point: EndPoint) => number) =>
    row.reduce((sum, point) => sum + of(point), 0) / row.length;
  const [middle, celsius] = [mean((point) => Math.log(point.rate)), mean((point) => point.celsius)];
  const spread = mean((point) => (Math.log(point.rate) - middle) ** 2) * row.length;
  const joint = mean((point) => (Math.log(point.rate) - middle) * (point.celsius - celsius)) * row.length;
  return { value: joint / spread, weight: spread };
}

function smoothed(points: readonly { readonly value: number; readonly weight: number }[]): number[] {
  const n = points.length;
  const system = Matrix.diag(points.map((point) => point.weight));
  for (let i = 0; i + 2 < n; i++)
    for (const [a, x] of [1, -2, 1].entries())
      for (const [b, y] of [1, -2, 1].entries())
        system.set(i + a, i + b, system.get(i + a, i + b) + SMOOTH * x * y);
  return solve(system, Matrix.columnVector(points.map((point) => point.value * point.weight))).to1DArray();
}

/** The work whose end points miss a row least at worst: the middle of the misses is moved to nought. */
function workOf(row: readonly EndPoint[], q: number, near: number): number {
  let logWork = climbWork(near, 60, q);
  for (let i = 0; i < 3; i++) {
    const misses = row.map(({ rate, celsius }) => celsius - climbTo(logWork, rate, q, celsius));
    const middle = (Math.max(...misses) + Math.min(...misses)) / 2;
    logWork = climbWork(climbTo(logWork, 60, q, near) + middle, 60, q);
  }
  return logWork;
}

let fitted: readonly ConeWork[] | null = null;

/** The constants of all cones in rising order, fitted once on all published rates. */
export function coneWork(): readonly ConeWork[] {
  return (fitted ??= fitConeWork());
}
