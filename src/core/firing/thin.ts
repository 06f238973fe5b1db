/** A point of a long series to be drawn. */
export interface SeriesPoint {
  readonly at: number;
  readonly value: number;
}

/**
 * Thins a series for drawing: in each of `buckets` equal stretches only the first, lowest, highest and last point
 * stay, in order, so that no peak is lost.
 *
 * @param points in order of `at`
 * @returns at most 4 × `buckets` points; the series itself when it is short enough
 */
export function thin<T extends SeriesPoint>(points: readonly T[], buckets: number): T[] {
  if (points.length <= 4 * buckets) return [...points];
  const [first, last] = [points[0]!.at, points.at(-1)!.at];
  const kept: T[] = [];
  let from = 0;
  for (let bucket = 1; bucket <= buckets; bucket++) {
    const end = bucket === buckets ? Infinity : first + ((last - first) * bucket) / buckets;
    let [to, low, high] = [from, from, from];
    for (; to < points.length && points[to]!.at < end; to++) {
      if (points[to]!.value < points[low]!.value) low = to;
      if (points[to]!.value > points[high]!.value) high = to;
    }
    if (to === from) continue;
    for (const i of [...new Set([from, low, high, to - 1])].sort((a, b) => a - b)) kept.push(points[i]!);
    from = to;
  }
  return kept;
}
