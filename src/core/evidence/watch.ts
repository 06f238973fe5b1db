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
  /**
   * Pieces with the defect that the glazes on them let expect, as in {@link expectedByGlaze}, where a sample's mix of
   * glazes may change; all samples are alike when left out.
   */
  readonly expected?: number;
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
  /**
   * Chance of as great a rise anywhere in the series, were its samples in any other order or its defects on any other
   * of its pieces: the greater of the two.
   */
  readonly chance: number;
}

/** Chance that a sample lies beyond its limit while nothing has changed: that of three sigmas, one side. */
const BEYOND = 0.00135;
/** A rise less likely than this is one. */
const SURE = 0.02;
/** Orders that are tried at most unless more are asked for, and orders with as great a rise after which no more are. */
export const ORDERS = 1999;
const ENOUGH = 20;
/** A rise needs so many samples before it and so many pieces with the defect after it. */
const LEAST = { before: 2, count: 3 } as const;

/**
 * Charts the share with a defect sample by sample, with exact limits.
 *
 * Each sample is judged by the others: a firing in which everything went wrong does not hide itself by widening what is
 * usual. Limits are the tails of the beta-binomial distribution about the usual share: samples that scatter more than
 * chance, as pieces of one firing do, have wider ones, and so has a usual share that few pieces tell. The
 * correlation is the moment estimate from Pearson's χ². A rise is the split with the greatest likelihood ratio. It must
 * be rare among the same samples in other orders, for the sample, not the piece, is the unit; and among the same
 * defects dealt out over the pieces, or small samples first would look like a rise.
 *
 * Sources: W. A. Shewhart (1931) for the chart; D. A. Williams, Appl. Stat. 31 (1982), 144–148, for the scatter;
 * H. Jeffreys, Theory of Probability (1961), §3.1, for the prior; J. Besag and P. Clifford, Biometrika 78 (1991),
 * 301–304, for stopping early.
 *
 * @param samples in order of time; empty ones are left out
 * @param random gives numbers in [0, 1)
 * @param orders tried at most; more tell rarer rises apart, which many series need
 */
export function watch(all: readonly Sample[], random: () => number, orders = ORDERS): Watched {
  const samples = all.filter(({ of }) => of > 0);
  const rise = riseOf(samples, random, orders);
  const before = rise ? samples.slice(0, rise.at) : samples;
  const mostOf = (sample: Sample, usual: readonly Sample[]) =>
    mostUsual(
      sample.of,
      expectedOf(
        sample,
        usual.filter((one) => one !== sample),
      ),
    );
  // What is out does not tell what is usual for the others.
  const usual = before.filter((sample) => sample.count <= mostOf(sample, before));
  return {
    samples: samples.map((sample) => {
      const most = mostOf(sample, usual);
      return { ...sample, limit: most === sample.of ? null : most / sample.of, isOut: sample.count > most };
    }),
    usual: pooled(before),
    correlation: correlationOf(before, shareBy(before)),
    rise,
  };
}

/** Pieces of one glaze in a sample. */
export interface OfGlaze {
  readonly glaze: string;
  readonly count: number;
  readonly of: number;
}

/**
 * How many pieces with the defect each sample's glazes let expect, were each glaze the same in all of them: a kiln that
 * is given more of a glaze that pits has not changed (indirect standardisation).
 *
 * @param samples each with its pieces in all, and those of each glaze; a piece with two glazes stands under both
 */
export function expectedByGlaze(
  samples: readonly { readonly of: number; readonly glazes: readonly OfGlaze[] }[],
): number[] {
  const all = new Map<string, { count: number; of: number }>();
  for (const { glaze, count, of } of samples.flatMap(({ glazes }) => glazes)) {
    const known = all.get(glaze) ?? { count: 0, of: 0 };
    all.set(glaze, { count: known.count + count, of: known.of + of });
  }
  return samples.map(({ of, glazes }) => {
    const pieces = glazes.reduce((sum, one) => sum + one.of, 0);
    const shown = glazes.reduce((sum, one) => {
      const { count, of: every } = all.get(one.glaze)!;
      return sum + (one.of * count) / every;
    }, 0);
    return pieces === 0 ? 0 : (of * shown) / pieces;
  });
}

/** What a sample weighs: the pieces with the defect expected of it, up to a factor that is the same for all. */
const weightOf = ({ of, expected }: Sample): number => expected ?? of;

/** The share of pieces with the defect that each sample would have, were it as the others are. */
function shareBy(samples: readonly Sample[]): (sample: Sample) => number {
  const count = samples.reduce((sum, one) => sum + one.count, 0);
  const weight = samples.reduce((sum, one) => sum + weightOf(one), 0);
  return (sample) => (weight === 0 ? 0 : Math.min(1, (count / weight) * (weightOf(sample) / sample.of)));
}

function pooled(samples: readonly Sample[]): Proportion {
  const sum = (of: (sample: Sample) => number) => samples.reduce((all, sample) => all + of(sample), 0);
  return shareOverFirings(
    sum(({ count }) => count),
    sum(({ of }) => of),
    new Set(samples.flatMap(({ firings }) => firings)).size,
  );
}

function correlationOf(samples: readonly Sample[], share: (sample: Sample) => number): number {
  let [pairs, chi, told] = [0, 0, 0];
  for (const sample of samples) {
    const { count, of } = sample;
    const spread = share(sample) * (1 - share(sample));
    if (spread === 0) continue;
    told++;
    pairs += of - 1;
    chi += (count - of * share(sample)) ** 2 / (of * spread);
  }
  return pairs === 0 ? 0 : Math.min(0.95, Math.max(0, (chi - (told - 1)) / pairs));
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
function expectedOf(sample: Sample, others: readonly Sample[]): Expected {
  const share = shareBy(others);
  const [own, correlation] = [share(sample), correlationOf(others, share)];
  const of = others.reduce((sum, one) => sum + one.of, 0);
  const worth = others.length ? of / (1 + (of / others.length - 1) * correlation) : 0;
  return {
    share: (own * worth + 0.5) / (worth + 1),
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

function riseOf(samples: readonly Sample[], random: () => number, orders: number): Rise | null {
  const best = steepest(samples);
  if (!best) return null;
  const order = [...samples];
  const byOrder = chanceBy(orders, () => {
    shuffle(order, random);
    return (steepest(order)?.ratio ?? 0) >= best.ratio - 1e-9;
  });
  if (byOrder > SURE) return null;
  const deal = dealer(samples, random);
  const byPieces = chanceBy(orders, () => (steepest(deal())?.ratio ?? 0) >= best.ratio - 1e-9);
  const chance = Math.max(byOrder, byPieces);
  if (chance > SURE) return null;
  return {
    at: best.at,
    before: pooled(samples.slice(0, best.at)),
    after: pooled(samples.slice(best.at)),
    chance,
  };
}

/** The share of tries that came out as great, tried until enough did. */
function chanceBy(most: number, isAsGreat: () => boolean): number {
  let [tried, asGreat] = [0, 0];
  while (tried < most && asGreat < ENOUGH) {
    tried++;
    if (isAsGreat()) asGreat++;
  }
  return asGreat < ENOUGH ? (asGreat + 1) / (tried + 1) : asGreat / tried;
}

/** Deals the defects of a series out again, to each sample by its weight. */
function dealer(samples: readonly Sample[], random: () => number): () => Sample[] {
  const defects = samples.reduce((sum, { count }) => sum + count, 0);
  const ends = samples.map(weightOf);
  for (let i = 1; i < ends.length; i++) ends[i]! += ends[i - 1]!;
  return () => {
    const counts = new Int32Array(samples.length);
    for (let dealt = 0; dealt < defects; dealt++) counts[placeIn(ends, random() * ends.at(-1)!)]!++;
    return samples.map((sample, i) => ({ ...sample, count: counts[i]! }));
  };
}

/** The first place whose end lies above a value. */
function placeIn(ends: readonly number[], value: number): number {
  let [low, high] = [0, ends.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (ends[middle]! > value) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** The split with the greatest likelihood ratio for more of the defect after it than the samples' weights let expect. */
function steepest(samples: readonly Sample[]): { readonly at: number; readonly ratio: number } | null {
  const [count, weight] = samples.reduce(([k, w], one) => [k + one.count, w + weightOf(one)], [0, 0]);
  const flat = likelihood(count, weight);
  let [k, w] = [0, 0];
  let best: { at: number; ratio: number } | null = null;
  for (let at = 1; at < samples.length; at++) {
    k += samples[at - 1]!.count;
    w += weightOf(samples[at - 1]!);
    if (at < LEAST.before || count - k < LEAST.count || k * (weight - w) >= (count - k) * w) continue;
    const ratio = likelihood(k, w) + likelihood(count - k, weight - w) - flat;
    if (ratio > (best?.ratio ?? 0)) best = { at, ratio };
  }
  return best;
}

/** ln of the likelihood of a count of Poisson's for its weight, but for what is the same in all splits. */
function likelihood(count: number, weight: number): number {
  return count === 0 || weight === 0 ? 0 : count * Math.log(count / weight);
}

/** Fisher and Yates's shuffle, in place. */
function shuffle<T>(list: T[], random: () => number): void {
  for (let i = list.length - 1; i > 0; i--) {
    const k = Math.floor(random() * (i + 1));
    [list[i], list[k]] = [list[k]!, list[i]!];
  }
}
