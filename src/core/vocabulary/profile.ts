/**
 * The silhouette of a thrown or built form as points from its foot up: height and half width, both as fractions,
 * height 0 = foot and 1 = rim, half width 1 = the widest. Between its points it is a smooth curve that never swings
 * beyond them; two points at almost the same height make a corner.
 */
export type Profile = readonly (readonly [height: number, halfWidth: number])[];

/**
 * Half the width of a profile at any height, by monotone cubic interpolation.
 *
 * F. N. Fritsch and J. Butland, "A method for constructing local monotone piecewise cubic interpolants", SIAM Journal
 * on Scientific and Statistical Computing 5 (1984) (formula from memory).
 *
 * @param profile at least two points, heights rising
 * @returns a function of the height; below the first point and above the last it stays as it is there
 * @example halfWidthOf([[0, 1], [1, 0]])(0.5) // 0.5
 */
export function halfWidthOf(profile: Profile): (height: number) => number {
  const last = profile.length - 1;
  const rise = profile.slice(1).map(([height, width], i) => {
    const [before, from] = profile[i]!;
    return { step: height - before, slope: (width - from) / (height - before) };
  });
  const slopes = profile.map((_, i) => {
    if (i === 0) return rise[0]!.slope;
    if (i === last) return rise[last - 1]!.slope;
    const [low, high] = [rise[i - 1]!, rise[i]!];
    if (low.slope * high.slope <= 0) return 0;
    const [a, b] = [2 * high.step + low.step, high.step + 2 * low.step];
    return (a + b) / (a / low.slope + b / high.slope);
  });
  return (height) => {
    if (height <= profile[0]![0]) return profile[0]![1];
    if (height >= profile[last]![0]) return profile[last]![1];
    const i = profile.findIndex(([next]) => next > height) - 1;
    const { step } = rise[i]!;
    const t = (height - profile[i]![0]) / step;
    const [from, to] = [profile[i]![1], profile[i + 1]![1]];
    const [leave, arrive] = [slopes[i]! * step, slopes[i + 1]! * step];
    const [t2, t3] = [t * t, t * t * t];
    return (
      (2 * t3 - 3 * t2 + 1) * from + (t3 - 2 * t2 + t) * leave + (3 * t2 - 2 * t3) * to + (t3 - t2) * arrive
    );
  };
}
