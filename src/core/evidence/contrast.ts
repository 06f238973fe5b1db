import gammaln from '@stdlib/math-base-special-gammaln';
import normalCdf from '@stdlib/stats-base-dists-normal-cdf';

/**
 * Counts of two groups with and without something: `[[a, b], [c, d]]`, the first group with and without it,
 * then the second. Whole numbers ≥ 0.
 */
export type Table = readonly [readonly [number, number], readonly [number, number]];

/** What a table says. */
export interface Contrast {
  /** Chance of a table as unlikely as this one or more, were the groups alike. */
  readonly fisherTwoSided: number;
  /** ad / bc; null where that is undefined. */
  readonly oddsRatio: number | null;
  /** Exact conditional 95 % interval of the odds ratio; its upper end is null when it has none. */
  readonly interval: readonly [number, number | null];
  /** Share in the first group less share in the second; null when a group is empty. */
  readonly riskDifference: number | null;
}

/** Tables no likelier than this count as as unlikely as the one seen, in the rounding of sums. */
const AS_UNLIKELY = 1 + 1e-7;

function logChoose(n: number, k: number): number {
  return gammaln(n + 1) - gammaln(k + 1) - gammaln(n - k + 1);
}

/** The least and the most that the first cell can be when the margins are kept. */
function rangeOf([[a, b], [c, d]]: Table): readonly [number, number] {
  return [Math.max(0, a - d), Math.min(a + b, a + c)];
}

/** ln of the weight of each first cell that the margins allow, at an odds ratio of 1. */
function weightsOf(table: Table): { readonly low: number; readonly logs: readonly number[] } {
  const [[a, b], [c, d]] = table;
  const [first, second, having] = [a + b, c + d, a + c];
  const [low, high] = rangeOf(table);
  return {
    low,
    logs: Array.from(
      { length: high - low + 1 },
      (_, i) => logChoose(first, low + i) + logChoose(second, having - low - i),
    ),
  };
}

/** The chances of each first cell at an odds ratio of e^`logOdds`. */
function chances(logs: readonly number[], logOdds: number): number[] {
  const tilted = logs.map((log, i) => log + i * logOdds);
  const most = Math.max(...tilted);
  const parts = tilted.map((log) => Math.exp(log - most));
  const all = parts.reduce((sum, part) => sum + part, 0);
  return parts.map((part) => part / all);
}

/**
 * Fisher's exact test, two-sided: the sum of all tables with the same margins that are no likelier than the one
 * seen.
 *
 * Source: R. A. Fisher, The Design of Experiments (1935).
 *
 * @example fisherTwoSided([[3, 1], [1, 3]]) // 0.4857
 */
export function fisherTwoSided(table: Table): number {
  return fisherTails(table).p;
}

/** Fisher's exact test with its mid-p, see {@link fisherTwoSided} and {@link Tails}. */
export function fisherTails(table: Table): Tails {
  const { low, logs } = weightsOf(table);
  return tailsOf(chances(logs, 0), table[0][0] - low);
}

/** What an exact test says, strictly and at its middle. */
export interface Tails {
  /** Chance of what is as unlikely as what was seen, or more. */
  readonly p: number;
  /**
   * Mid-p: what is as unlikely as what was seen counts half. Exact tests of small counts are too strict, for few
   * outcomes are possible; the mid-p is nearer to the rate that it states, and may pass it a little.
   *
   * Source: H. O. Lancaster, J. Am. Stat. Assoc. 56 (1961), 223–234.
   */
  readonly midP: number;
  /** The least chance that the margins allow, whatever came out; 0 where it is not bounded. */
  readonly least: number;
}

/** Both tails of a list of chances at the one that was seen. */
function tailsOf(all: ArrayLike<number>, seenAt: number): Tails {
  const seen = all[seenAt]!;
  let rarest = seen;
  for (let i = 0; i < all.length; i++) rarest = Math.min(rarest, all[i]!);
  let [rarer, asRare, least] = [0, 0, 0];
  for (let i = 0; i < all.length; i++) {
    if (all[i]! * AS_UNLIKELY < seen) rarer += all[i]!;
    else if (all[i]! <= seen * AS_UNLIKELY) asRare += all[i]!;
    if (all[i]! <= rarest * AS_UNLIKELY) least += all[i]!;
  }
  return {
    p: Math.min(1, rarer + asRare),
    midP: Math.min(1, rarer + asRare / 2),
    least: Math.min(1, least),
  };
}

/**
 * Exact conditional interval of an odds ratio: the ratios at which a first cell as large as the one seen, or as
 * small, has half of what is left of the confidence.
 *
 * @param confidence 0 to 1
 */
export function oddsInterval(table: Table, confidence = 0.95): readonly [number, number | null] {
  const { low, logs } = weightsOf(table);
  const at = table[0][0] - low;
  const tail = (1 - confidence) / 2;
  const sum = (from: number, to: number, logOdds: number) =>
    chances(logs, logOdds)
      .slice(from, to)
      .reduce((all, chance) => all + chance, 0);
  const lower = at === 0 ? 0 : Math.exp(crossing((odds) => sum(at, logs.length, odds) - tail));
  const upper = at === logs.length - 1 ? null : Math.exp(crossing((odds) => tail - sum(0, at + 1, odds)));
  return [lower, upper];
}

/** Where a rising function of ln(odds) passes nought. */
function crossing(rising: (logOdds: number) => number): number {
  let [low, high] = [-60, 60];
  for (let i = 0; i < 100; i++) {
    const middle = (low + high) / 2;
    if (rising(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Everything one table says. */
export function contrastOf(table: Table): Contrast {
  const [[a, b], [c, d]] = table;
  return {
    fisherTwoSided: fisherTwoSided(table),
    oddsRatio: b * c === 0 ? null : (a * d) / (b * c),
    interval: oddsInterval(table),
    riskDifference: a + b === 0 || c + d === 0 ? null : a / (a + b) - c / (c + d),
  };
}

/**
 * The odds ratio pooled over strata, so that what differs between them does not stand in for what is asked.
 *
 * Source: N. Mantel and W. Haenszel, J. Natl. Cancer Inst. 22 (1959).
 *
 * @returns null where no stratum has the second product
 */
export function mantelHaenszel(strata: readonly Table[]): number | null {
  const full = strata.filter(([[a, b], [c, d]]) => a + b + c + d > 0);
  const sum = (of: (table: Table) => number) =>
    full.reduce((all, table) => {
      const [[a, b], [c, d]] = table;
      return all + of(table) / (a + b + c + d);
    }, 0);
  const against = sum(([[, b], [c]]) => b * c);
  return against === 0 ? null : sum(([[a], [, d]]) => a * d) / against;
}

/**
 * Exact conditional test over strata, two-sided: the chance of a sum of first cells as unlikely as the one seen,
 * every stratum keeping its margins. For pairs it is McNemar's exact test, for one stratum Fisher's. Sums of more
 * than {@link MOST_SUMS} steps are judged by the normal tail with the exact mean and variance, continuity
 * corrected.
 *
 * Source: the exact form of the test of N. Mantel and W. Haenszel (1959); D. R. Cox, The Analysis of Binary Data
 * (1970), ch. 5.
 */
export function stratifiedExact(strata: readonly Table[]): number {
  return stratifiedTails(strata).p;
}

/** The exact test over strata with its mid-p, see {@link stratifiedExact}; by the normal tail both are the same. */
export function stratifiedTails(strata: readonly Table[]): Tails {
  // Margins that allow one table only say nothing.
  const telling = strata.filter((table) => {
    const [low, high] = rangeOf(table);
    return high > low;
  });
  const steps = telling.reduce((all, table) => {
    const [low, high] = rangeOf(table);
    return all + high - low;
  }, 0);
  if (steps > MOST_SUMS) {
    const p = normalTail(telling);
    return { p, midP: p, least: 0 };
  }
  let sums = Float64Array.of(1);
  let seen = 0;
  for (const table of telling) {
    const { low, logs } = weightsOf(table);
    const own = chances(logs, 0);
    seen += table[0][0] - low;
    const next = new Float64Array(sums.length + own.length - 1);
    for (let i = 0; i < sums.length; i++)
      for (let k = 0; k < own.length; k++) next[i + k]! += sums[i]! * own[k]!;
    sums = next;
  }
  return tailsOf(sums, seen);
}

/** Steps that a sum over strata may have for its chances to be listed one by one. */
const MOST_SUMS = 600;

function normalTail(strata: readonly Table[]): number {
  let [far, variance] = [0, 0];
  for (const [[a, b], [c, d]] of strata) {
    const n = a + b + c + d;
    if (n < 2) continue;
    far += a - ((a + b) * (a + c)) / n;
    variance += ((a + b) * (c + d) * (a + c) * (b + d)) / (n * n * (n - 1));
  }
  if (variance === 0) return 1;
  const z = Math.max(0, Math.abs(far) - 0.5) / Math.sqrt(variance);
  return 2 * normalCdf(-z, 0, 1);
}

/** All strata as one table, differences between them forgotten. */
export function together(strata: readonly Table[]): Table {
  const cell = (row: 0 | 1, column: 0 | 1) => strata.reduce((sum, table) => sum + table[row][column], 0);
  return [
    [cell(0, 0), cell(0, 1)],
    [cell(1, 0), cell(1, 1)],
  ];
}
