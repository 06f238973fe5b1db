import betaQuantile from '@stdlib/stats-base-dists-beta-quantile';

/** A share of pieces with what it may truly be. */
export interface Proportion {
  readonly count: number;
  readonly of: number;
  /** 0 to 1; null of none. */
  readonly share: number | null;
  /** Exact interval of the true share, 0 to 1; null for pieces of one firing: it is not known to be repeatable. */
  readonly interval: readonly [number, number] | null;
}

/**
 * A share with its exact (Clopper–Pearson) interval.
 *
 * Source: C. J. Clopper and E. S. Pearson, Biometrika 26 (1934), 404–413.
 *
 * @param count whole, 0 to `of`
 * @param of whole, ≥ 0
 * @param confidence 0 to 1
 * @example shareOf(0, 10).interval // [0, 0.3085]
 */
export function shareOf(
  count: number,
  of: number,
  confidence = 0.95,
): Proportion & { readonly interval: readonly [number, number] } {
  const tail = (1 - confidence) / 2;
  return {
    count,
    of,
    share: of ? count / of : null,
    interval: [
      count === 0 ? 0 : betaQuantile(tail, count, of - count + 1),
      count === of ? 1 : betaQuantile(1 - tail, count + 1, of - count),
    ],
  };
}

/**
 * A share of pieces that came out of so many firings: those of one firing alone have no interval, for nothing is known
 * of how firings differ.
 *
 * @param firings that the `of` pieces came out of, ≥ 0
 */
export function shareOverFirings(count: number, of: number, firings: number): Proportion {
  const share = shareOf(count, of);
  return firings === 1 ? { ...share, interval: null } : share;
}

/**
 * A share in words, with its interval, which is not broken over two lines.
 *
 * @example shareWords(shareOf(5, 24)) // '5 of 24 (7 to 42 %)', its blanks no-break ones
 * @example shareWords(shareOverFirings(5, 24, 1)) // '5 of 24, one firing'
 */
export function shareWords({ count, of, interval }: Proportion): string {
  if (of === 0) return 'none of none';
  if (!interval) return `${count} of ${of}, one firing`;
  const [low, high] = interval.map((part) => Math.round(part * 100));
  return `${count} of ${of} (${low}\u00a0to\u00a0${high}\u00a0%)`;
}
