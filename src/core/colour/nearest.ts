import { deltaE00, type Lab } from './lab';

/** Colours laid out for {@link nearestGroups}: sorted by lightness. */
export interface ColourIndex {
  readonly count: number;
  readonly l: Float32Array;
  readonly a: Float32Array;
  readonly b: Float32Array;
  /** The group that each belongs to, in the same order. */
  readonly group: Int32Array;
}

/** A group by its nearest colour. */
export interface Near {
  readonly group: number;
  /** CIEDE2000 of its nearest colour. */
  readonly difference: number;
}

/**
 * Lays colours out to be searched.
 *
 * @param colours each with the number of the group it belongs to, from 0
 */
export function colourIndex(colours: readonly (Lab & { readonly group: number })[]): ColourIndex {
  const sorted = [...colours].sort((one, two) => one.l - two.l);
  return {
    count: sorted.length,
    l: Float32Array.from(sorted, ({ l }) => l),
    a: Float32Array.from(sorted, ({ a }) => a),
    b: Float32Array.from(sorted, ({ b }) => b),
    group: Int32Array.from(sorted, ({ group }) => group),
  };
}

/**
 * The groups with a colour nearest to one, nearest first; exact.
 *
 * Walks outwards from the lightness that is asked for. The lightness term alone of CIEDE2000 bounds the whole
 * from below, and grows with the distance, so that the walk ends where no colour can be near enough any more.
 *
 * @param most groups given at most
 * @param within differences up to this
 * @param allows groups that may be given
 */
export function nearestGroups(
  index: ColourIndex,
  asked: Lab,
  { most, within, allows }: { readonly most: number; readonly within: number; readonly allows?: Uint8Array },
): Near[] {
  const found = new Map<number, number>();
  let limit = within;
  const look = (at: number) => {
    const group = index.group[at]!;
    if (allows && !allows[group]) return;
    const [l, a, b] = [index.l[at]!, index.a[at]!, index.b[at]!];
    if (leastDifference(asked.l, asked.a, asked.b, l, a, b) > limit) return;
    const difference = deltaE00(asked, { l, a, b });
    if (difference > limit || difference >= (found.get(group) ?? Infinity)) return;
    found.set(group, difference);
    if (found.size > most) found.delete(farthest(found)[0]);
    if (found.size === most) limit = Math.min(limit, farthest(found)[1]);
  };
  let up = firstFrom(index.l, asked.l);
  let down = up - 1;
  let [upwards, downwards] = [true, true];
  while (upwards || downwards) {
    upwards &&= up < index.count && lightnessBound(asked.l, index.l[up]!) <= limit;
    if (upwards) look(up++);
    downwards &&= down >= 0 && lightnessBound(asked.l, index.l[down]!) <= limit;
    if (downwards) look(down--);
  }
  return [...found]
    .map(([group, difference]) => ({ group, difference }))
    .sort((one, two) => one.difference - two.difference || one.group - two.group);
}

/** The lightness term of CIEDE2000: |ΔL'| / S_L. */
function lightnessBound(one: number, two: number): number {
  const off = ((one + two) / 2 - 50) ** 2;
  return Math.abs(one - two) / (1 + (0.015 * off) / Math.sqrt(20 + off));
}

const FLOOR = 25 ** 7;

/**
 * A bound of CIEDE2000 from below that needs no angles: its hue weight T is taken at its most, 1.93, and its
 * rotation as far as it can go, |R_T| ≤ 2 sin 60° R_C, so that no more than that share of chroma and hue cancels.
 *
 * Source: the terms as in Sharma, Wu and Dalal, Color Res. Appl. 30 (2005), equations 2 to 22.
 */
export function leastDifference(
  l1: number,
  a1: number,
  b1: number,
  l2: number,
  a2: number,
  b2: number,
): number {
  const mean = (Math.sqrt(a1 * a1 + b1 * b1) + Math.sqrt(a2 * a2 + b2 * b2)) / 2;
  const stretch = 1.5 - 0.5 * seventh(mean);
  const [p1, p2] = [a1 * stretch, a2 * stretch];
  const [c1, c2] = [Math.sqrt(p1 * p1 + b1 * b1), Math.sqrt(p2 * p2 + b2 * b2)];
  const chroma = (c1 + c2) / 2;
  const hue2 = Math.max(0, 2 * (c1 * c2 - p1 * p2 - b1 * b2));
  const plane = ((c1 - c2) / (1 + 0.045 * chroma)) ** 2 + hue2 / (1 + 0.015 * 1.93 * chroma) ** 2;
  const kept = 1 - (Math.sqrt(3) / 2) * seventh(chroma);
  return Math.sqrt(lightnessBound(l1, l2) ** 2 + kept * plane) - ROUNDING;
}

/** √(c⁷ / (c⁷ + 25⁷)) */
function seventh(chroma: number): number {
  const power = chroma * chroma * chroma * chroma * chroma * chroma * chroma;
  return Math.sqrt(power / (power + FLOOR));
}

/** What rounding may add to the bound. */
const ROUNDING = 1e-9;

function farthest(found: ReadonlyMap<number, number>): readonly [number, number] {
  let most: readonly [number, number] = [-1, -1];
  for (const one of found) if (one[1] > most[1]) most = one;
  return most;
}

/** The first place in a sorted list that is not less than a value. */
function firstFrom(sorted: Float32Array, value: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle]! < value) low = middle + 1;
    else high = middle;
  }
  return low;
}
