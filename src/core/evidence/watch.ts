import betaln from '@stdlib/math-base-special-betaln';
import gammaln from '@stdlib/math-base-special-gammaln';
import binomialPmf from '@stdlib/stats-base-dists-binomial-pmf';
import { shareOverFirings, type Proportion } from './share';

/** What one firing, or one batch, gave. */
export interface Sample {
  readonly id: string;
  readonly words: string;
  /** Pieces with the defect, whole, 0 to `of`. */
  readonly count: number;
  readonly of: number;
  /** The firings that these pieces came out of: one for a firing, one or more for a batch. */
  readonly firings: readonly string[];
}

export interface Charted extends Sample {
  /** The share beyond which a sample like this is out of what is usual; null where none is. */
  readonly limit: number | null;
  readonly isOut: boolean;
}

/** Defects of one thing over time. */
export interface Watched {
  readonly samples: readonly Charted[];
  /** What is usual: the share of all samples, or of those before the rise. */
  readonly usual: Proportion;
  /** Correlation of pieces within a sample, 0 where samples scatter no more than chance. */
  readonly correlation: number;
  /** From when on there is more of it; null when there is no such point. */
  readonly rise: Rise | null;
}

export interface Rise {
  /** Place of the first sample after it. */
  readonly at: number;
  readonly before: Proportion;
  readonly after: Proportion;
  /** Chance of as great a rise anywhere in the series, were its samples in any other order. */
  readonly chance: number;
}

/** Chance that a sample lies beyond its limit while nothing has changed: that of three sigmas, one side. */
const BEYOND = 0.00135;
/** A rise less likely than this is one. */
const SURE = 0.02;
/** Orders that are tried at most, and orders with as great a rise after which no more are. */
const ORDERS = 1999;
const ENOUGH = 20;
/** A rise needs so many samples before it and so many pieces with the defect after it. */
const LEAST = { before: 2, count: 3 } as const;

/**
 * Charts the share with a defect sample by sample, with exact limits.
 *
 * Limits are the tails of the beta-binomial distribution about the usual share: samples that scatter more than
 * chance, as pieces of one firing do, have wider ones, and so has a usual share that few pieces tell. The
 * correlation is the moment estimate from Pearson's χ². A rise is the split with the greatest likelihood ratio,
 * judged against the same samples in other orders: the sample, not the piece, is the unit.
 *
 * Sources: W. A. Shewhart (1931) for the chart; D. A. Williams, Appl. Stat. 31 (1982), 144–148, for the scatter;
 * H. Jeffreys, Theory of Probability (1961), §3.1, for the prior; J. Besag and P. Clifford, Biometrika 78 (1991),
 * 301–304, for stopping early.
 *
 * @param samples in order of time; empty ones are left out
 * @param random gives numbers in [0, 1)
 */
export function watch(all: readonly Sample[], random: () => number): Watched {
  const samples = all.filter(({ of }) => of > 0);
  const rise = riseOf(samples, random);
  const before = rise ? samples.slice(0, rise.at) : samples;
  const usual = pooled(before);
  const correlation = correlationOf(before, usual.share ?? 0);
  const expected = expectedOf(usual, correlation, before.length);
  return {
    samples: samples.map((sample) => {
      const most = mostUsual(sample.of, expected);
      return { ...sample, limit: most === sample.of ? null : most / sample.of, isOut: sample.count > most };
    }),
    usual,
    correlation,
    rise,
  };
}

function pooled(samples: readonly Sample[]): Proportion {
  const sum = (of: (sample: Sample) => number) => samples.reduce((all, sample) => all + of(sample), 0);
  return shareOverFirings(
    sum(({ count }) => count),
    sum(({ of }) => of),
    new Set(samples.flatMap(({ firings }) => firings)).size,
  );
}

function correlationOf(samples: readonly Sample[], share: number): number {
  const pairs = samples.reduce((sum, { of }) => sum + of - 1, 0);
  const spread = share * (1 - share);
  if (spread === 0 || pairs === 0) return 0;
  const chi = samples.reduce((sum, { count, of }) => sum + (count - of * share) ** 2 / (of * spread), 0);
  return Math.min(0.95, Math.max(0, (chi - (samples.length - 1)) / pairs));
}

/** What the next sample is expected to be like. */
interface Expected {
  readonly share: number;
  readonly correlation: number;
}

/**
 * The usual share is itself known from so many pieces only: none of 20 is not never. As the predictive distribution
 * after Jeffreys's prior, for as many pieces as those of samples that scatter are worth.
 */
function expectedOf({ count, of }: Proportion, correlation: number, samples: number): Expected {
  const worth = samples ? of / (1 + (of / samples - 1) * correlation) : 0;
  const share = of ? count / of : 0.5;
  return {
    share: (share * worth + 0.5) / (worth + 1),
    correlation: correlation + (1 - correlation) / (worth + 2),
  };
}

/** The most pieces of a sample that are usual: more have a chance below {@link BEYOND}. */
function mostUsual(of: number, { share, correlation }: Expected): number {
  let tail = 0;
  for (let count = of; count > 0; count--) {
    tail += chanceOf(count, of, share, correlation);
    if (tail >= BEYOND) return count;
  }
  return 0;
}

/**
 * Chance of a count under the beta-binomial distribution.
 *
 * @param correlation within a sample, 0 (the binomial) to below 1
 * @example chanceOf(1, 2, 0.5, 0) // 0.5
 */
export function chanceOf(count: number, of: number, share: number, correlation: number): number {
  if (share <= 0 || share >= 1) return count === of * share ? 1 : 0;
  if (correlation === 0) return binomialPmf(count, of, share);
  const scale = (1 - correlation) / correlation;
  const [a, b] = [share * scale, (1 - share) * scale];
  const choose = gammaln(of + 1) - gammaln(count + 1) - gammaln(of - count + 1);
  return Math.exp(choose + betaln(count + a, of - count + b) - betaln(a, b));
}

function riseOf(samples: readonly Sample[], random: () => number): Rise | null {
  const best = steepest(samples);
  if (!best) return null;
  const order = [...samples];
  let [tried, asGreat] = [0, 0];
  while (tried < ORDERS && asGreat < ENOUGH) {
    shuffle(order, random);
    tried++;
    if ((steepest(order)?.ratio ?? 0) >= best.ratio - 1e-9) asGreat++;
  }
  const chance = asGreat < ENOUGH ? (asGreat + 1) / (tried + 1) : asGreat / tried;
  if (chance > SURE) return null;
  return {
    at: best.at,
    before: pooled(samples.slice(0, best.at)),
    after: pooled(samples.slice(best.at)),
    chance,
  };
}

/** The split with the greatest likelihood ratio for more of the defect after it. */
function steepest(samples: readonly Sample[]): { readonly at: number; readonly ratio: number } | null {
  const [count, of] = samples.reduce(([k, n], one) => [k + one.count, n + one.of], [0, 0]);
  const flat = likelihood(count, of);
  let [k, n] = [0, 0];
  let best: { at: number; ratio: number } | null = null;
  for (let at = 1; at < samples.length; at++) {
    k += samples[at - 1]!.count;
    n += samples[at - 1]!.of;
    if (at < LEAST.before || count - k < LEAST.count || k * (of - n) >= (count - k) * n) continue;
    const ratio = likelihood(k, n) + likelihood(count - k, of - n) - flat;
    if (ratio > (best?.ratio ?? 0)) best = { at, ratio };
  }
  return best;
}

function likelihood(count: number, of: number): number {
  const part = (x: number) => (x === 0 ? 0 : x * Math.log(x / of));
  return part(count) + part(of - count);
}

/** Fisher and Yates's shuffle, in place. */
function shuffle<T>(list: T[], random: () => number): void {
  for (let i = list.length - 1; i > 0; i--) {
    const k = Math.floor(random() * (i + 1));
    [list[i], list[k]] = [list[k]!, list[i]!];
  }
}
