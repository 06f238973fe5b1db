import type { Tails } from './contrast';
import { steadyChance } from './steady';

/** What one firing showed of a defect beyond what its matched sets let expect, and of how many pieces. */
export interface Excess {
  /** Pieces with the defect less those expected; below 0 for fewer. */
  readonly excess: number;
  readonly pieces: number;
}

/** What a test over firings says. */
export interface FiringTest extends Tails {
  /** Above 0 where the first level shows more. */
  readonly direction: number;
}

/** Arrangements that are gone through one by one; of more, so many are drawn. */
const MOST_LISTED = 4096;
const DRAWN = 4999;
/** Arrangements as far out after which no more are drawn (Besag and Clifford, 1991). */
const ENOUGH = 25;
/** Sums of the same numbers in another order differ by rounding. */
const AS_FAR = 1 - 1e-9;

/**
 * How correlated pieces of one firing are taken to be where firings are weighed: a large one tells more than a small
 * one, not as much more as it has pieces (judgement; the test is valid whatever it is).
 */
const ALIKE = 0.2;

const weightOf = ({ pieces }: Excess) => pieces / (1 + ALIKE * (pieces - 1));

/**
 * Tests two levels that belong to firings by dealing the levels out to the firings in other ways. What is compared is
 * the difference of the mean excess in units of its own standard error, so that levels with few and with many pieces a
 * firing, which scatter differently, do not stand out for that alone.
 *
 * Source: A. Janssen, Stat. Probab. Lett. 36 (1997), 9–21, for studentised permutation tests.
 */
export function permuted(first: readonly Excess[], second: readonly Excess[]): FiringTest {
  const all = [...first, ...second];
  const [shares, weights] = [all.map(({ excess, pieces }) => excess / pieces), all.map(weightOf)];
  const isFirst = Uint8Array.from(all, (_, i) => Number(i < first.length));
  const statistic = () => studentised(shares, weights, isFirst);
  const direction = statistic();
  const far = Math.abs(direction) * AS_FAR;
  const listed = choose(all.length, first.length);
  // Where the levels have as many firings each, the mirror image is as far out.
  const least = (2 * first.length === all.length ? 2 : 1) / Math.max(1, listed);
  if (listed <= MOST_LISTED) {
    let [seen, asFar] = [0, 0];
    for (const _ of arrangements(isFirst, first.length)) {
      seen++;
      if (Math.abs(statistic()) >= far) asFar++;
    }
    return { direction, p: asFar / seen, midP: asFar / seen, least };
  }
  const random = steadyChance();
  const p = drawnChance(() => {
    for (let i = all.length - 1; i > 0; i--) {
      const k = Math.floor(random() * (i + 1));
      [isFirst[i], isFirst[k]] = [isFirst[k]!, isFirst[i]!];
    }
    return Math.abs(statistic()) >= far;
  });
  return { direction, p, midP: p, least };
}

/** The difference of two weighted means in units of its standard error. */
function studentised(shares: readonly number[], weights: readonly number[], isFirst: Uint8Array): number {
  const sums = [
    { n: 0, w: 0, wd: 0 },
    { n: 0, w: 0, wd: 0 },
  ];
  for (let i = 0; i < shares.length; i++) {
    const side = sums[1 - isFirst[i]!]!;
    side.n++;
    side.w += weights[i]!;
    side.wd += weights[i]! * shares[i]!;
  }
  const means = sums.map(({ w, wd }) => wd / w);
  const squares = [0, 0];
  for (let i = 0; i < shares.length; i++) {
    const side = 1 - isFirst[i]!;
    squares[side]! += (weights[i]! * (shares[i]! - means[side]!)) ** 2;
  }
  const errors = sums.map(({ n, w }, side) => (n > 1 ? ((squares[side]! / w ** 2) * n) / (n - 1) : null));
  // A single firing has no scatter of its own: that of the others, scaled to one.
  const alone = errors.map((error, side) => error ?? (errors[1 - side] ?? 0) * sums[1 - side]!.n);
  return (means[0]! - means[1]!) / Math.sqrt(alone[0]! + alone[1]! + 1e-12);
}

/** Every way to set `count` of the marks, one after the other, in place. */
function* arrangements(marks: Uint8Array, count: number, from = 0): Generator<void> {
  if (from === 0) marks.fill(0);
  if (count === 0) return void (yield);
  for (let i = from; i <= marks.length - count; i++) {
    marks[i] = 1;
    if (count === 1) yield;
    else yield* arrangements(marks, count - 1, i + 1);
    marks[i] = 0;
  }
}

/** n over k; Infinity beyond what is listed. */
function choose(n: number, k: number): number {
  let ways = 1;
  for (let i = 1; i <= Math.min(k, n - k); i++) ways = (ways * (n - i + 1)) / i;
  return Math.round(ways);
}

/**
 * Tests two levels that stand side by side in every firing (shelves) by turning the difference in each firing round:
 * a hot spot that wanders from firing to firing is on either side as often.
 *
 * @param differences of each firing, above 0 where the first level shows more
 */
export function flipped(differences: readonly number[]): FiringTest {
  const told = differences.filter((one) => Math.abs(one) > 1e-9);
  const direction = told.reduce((sum, one) => sum + one, 0);
  const far = Math.abs(direction) * AS_FAR;
  const least = 2 / 2 ** told.length;
  if (2 ** told.length <= MOST_LISTED) {
    let asFar = 0;
    for (let signs = 0; signs < 2 ** told.length; signs++) {
      const sum = told.reduce((all, one, i) => all + (signs & (1 << i) ? -one : one), 0);
      if (Math.abs(sum) >= far) asFar++;
    }
    const p = asFar / 2 ** told.length;
    return { direction, p, midP: p, least };
  }
  const random = steadyChance();
  const p = drawnChance(
    () => Math.abs(told.reduce((all, one) => all + (random() < 0.5 ? -one : one), 0)) >= far,
  );
  return { direction, p, midP: p, least };
}

function drawnChance(isAsFar: () => boolean): number {
  let [drawn, asFar] = [0, 0];
  while (drawn < DRAWN && asFar < ENOUGH) {
    drawn++;
    if (isAsFar()) asFar++;
  }
  return asFar < ENOUGH ? (asFar + 1) / (drawn + 1) : asFar / drawn;
}
