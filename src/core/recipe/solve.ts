import { fcnnls } from 'ml-fcnnls';
import { analyse, BUILT_IN, type Line, type MaterialBook, type Oxide, type Oxides } from '../chemistry';

/** A recipe that comes as near a target as its materials allow. */
export interface Solution {
  /** Base of 100; materials that are not needed are left out. */
  readonly lines: readonly Line[];
  /** What it really gives. */
  readonly unity: Oxides;
  /** Given less wanted, moles of the unity formula, for every oxide of either. */
  readonly miss: Oxides;
  /** The largest miss as a share of what was wanted (of 0.1 for traces). */
  readonly worst: number;
}

/** Oxides wanted in less than this count as if this much were wanted, so that a trace does not rule. */
const TRACE = 0.1;

/**
 * Non-negative least squares. Columns are brought to one length first, and a tolerance too strict for the
 * columns is eased step by step: nearly equal materials make the search go round in circles.
 */
function leastSquares(matrix: readonly (readonly number[])[], wanted: readonly number[]): number[] {
  const lengths = matrix[0]!.map((_, j) => Math.hypot(...matrix.map((row) => row[j]!)) || 1);
  const scaled = matrix.map((row) => row.map((n, j) => n / lengths[j]!));
  for (let gradientTolerance = 1e-9; ; gradientTolerance *= 100) {
    try {
      const { K } = fcnnls(
        scaled,
        wanted.map((n) => [n]),
        { gradientTolerance },
      );
      return K.to1DArray().map((n, j) => n / lengths[j]!);
    } catch (error) {
      if (gradientTolerance > 1e-2) throw error;
    }
  }
}

/** Less of a material than this (percent) is not worth weighing. */
const LEAST_PERCENT = 0.05;

/**
 * The recipe that reaches a unity formula from chosen materials: non-negative least squares on moles, each
 * oxide's miss taken relative to what is wanted.
 *
 * @param target moles with fluxes summing to 1
 * @param materials names from the book, without repeats
 * @throws RangeError when a material is not known, or none of them brings any of the wanted oxides
 * @example solveUnity({ K2O: 0.3, CaO: 0.7, Al2O3: 0.5, SiO2: 4 },
 *   ['Potash feldspar', 'Whiting', 'Silica', 'Kaolin']).worst // 0
 */
export function solveUnity(
  target: Oxides,
  materials: readonly string[],
  book: MaterialBook = BUILT_IN,
): Solution {
  const columns = materials.map((name) => {
    const material = book.find(name);
    if (!material) throw new RangeError(`${name} is not known`);
    return analyse([{ material: name, amount: 100 }], { book }).molePercent;
  });
  const molesOf = materials.map((name) => {
    return book.molesPerGram(name)!.moles.reduce((sum, n) => sum + n, 0);
  });
  const oxides = [
    ...new Set([...Object.keys(target), ...columns.flatMap((column) => Object.keys(column))]),
  ] as Oxide[];
  const weight = (oxide: Oxide) => 1 / Math.max(target[oxide] ?? 0, TRACE);
  const matrix = oxides.map((oxide) =>
    columns.map((column, j) => ((column[oxide] ?? 0) / 100) * molesOf[j]! * weight(oxide)),
  );
  const wanted = oxides.map((oxide) => (target[oxide] ?? 0) * weight(oxide));
  const grams = leastSquares(matrix, wanted);
  const total = grams.reduce((sum, each) => sum + each, 0);
  if (!(total > 0)) throw new RangeError('none of these materials brings what is wanted');
  const lines = materials
    .map((material, j) => ({ material, amount: (grams[j]! / total) * 100 }))
    .filter((line) => line.amount > LEAST_PERCENT);
  const { unity } = analyse(lines, { book });
  const miss = Object.fromEntries(
    oxides.map((oxide) => [oxide, (unity[oxide] ?? 0) - (target[oxide] ?? 0)]),
  ) as Oxides;
  const worst = Math.max(...oxides.map((oxide) => Math.abs(miss[oxide]!) * weight(oxide)));
  return { lines, unity, miss, worst };
}
