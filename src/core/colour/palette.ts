import { deltaE00, labOf, type Lab } from './lab';

/** A colour with the share of a surface that it takes, 0 to 1. */
export interface Share {
  readonly lab: Lab;
  readonly share: number;
}

/** What colours a surface has; shares sum to about 1, the largest first. */
export type Palette = readonly Share[];

/** The palette of a surface of which one colour is known. */
export const plainPalette = (lab: Lab): Palette => [{ lab, share: 1 }];

/** A colour by its hex, with the share of a surface that it takes, 0 to 1. */
export interface HexShare {
  readonly hex: string;
  readonly share: number;
}

/**
 * What is known of the colours of a zone: all that were measured in its photo, or the one that is known.
 *
 * @param shades that were measured, the largest share first; empty for none
 * @param colour "#rrggbb" that was measured with them
 * @param picked a colour that somebody picked, which goes before what was measured
 * @returns null where nothing is known
 */
export function paletteFrom(
  shades: readonly HexShare[],
  colour: string | null,
  picked: string | null,
): Palette | null {
  if (picked !== null && picked !== colour) return plainPalette(labOf(picked));
  if (shades.length > 0) return shades.map(({ hex, share }) => ({ lab: labOf(hex), share }));
  return colour === null ? null : plainPalette(labOf(colour));
}

/** Shares smaller than this are rounding. */
const NOTHING = 1e-9;

/**
 * How far two surfaces are apart by all their colours: the earth mover's distance in CIEDE2000, which is how much
 * of one must change by how much to become the other. Of two plain surfaces it is {@link deltaE00}.
 *
 * Source: Y. Rubner, C. Tomasi and L. J. Guibas, Int. J. Comput. Vis. 40 (2000), 99–121.
 *
 * @throws RangeError for a palette without a colour
 * @example paletteDifference([{ lab: brown, share: 0.7 }, { lab: blue, share: 0.3 }], [{ lab: brown, share: 1 }])
 *   // 0.3 × deltaE00(brown, blue)
 */
export function paletteDifference(one: Palette, other: Palette): number {
  if (one.length === 0 || other.length === 0) throw new RangeError('a palette needs a colour');
  const cost = one.map((a) => other.map((b) => deltaE00(a.lab, b.lab)));
  if (one.length === 1 && other.length === 1) return cost[0]![0]!;
  return transport(evened(one), evened(other), cost);
}

function evened(palette: Palette): number[] {
  const sum = palette.reduce((all, { share }) => all + share, 0);
  return palette.map(({ share }) => share / sum);
}

/**
 * The least cost of moving what is given to what is needed: again and again along the cheapest way that is left,
 * which may take back what was moved before (successive shortest paths).
 */
function transport(given: number[], needed: number[], cost: readonly (readonly number[])[]): number {
  const moved = cost.map((row) => row.map(() => 0));
  for (;;) {
    const way = cheapestWay(given, needed, cost, moved);
    if (!way) break;
    const back = way.steps.filter(({ isBack }) => isBack).map(({ from, to }) => moved[from]![to]!);
    const amount = Math.min(given[way.start]!, needed[way.end]!, ...back);
    given[way.start]! -= amount;
    needed[way.end]! -= amount;
    for (const { from, to, isBack } of way.steps) moved[from]![to]! += isBack ? -amount : amount;
  }
  return moved.reduce(
    (sum, row, i) => sum + row.reduce((part, amount, k) => part + amount * cost[i]![k]!, 0),
    0,
  );
}

interface Step {
  readonly from: number;
  readonly to: number;
  /** Whether something moved before is taken back. */
  readonly isBack: boolean;
}

/** The cheapest way from something that is still given to something still needed (Bellman and Ford); null for none. */
function cheapestWay(
  given: readonly number[],
  needed: readonly number[],
  cost: readonly (readonly number[])[],
  moved: readonly (readonly number[])[],
): { readonly start: number; readonly end: number; readonly steps: readonly Step[] } | null {
  const start = given.map((left) => (left > NOTHING ? 0 : Infinity));
  const end = needed.map(() => Infinity);
  const into = needed.map(() => -1);
  const backTo = given.map(() => -1);
  for (let round = 0, isChanged = true; isChanged && round <= given.length + needed.length; round++) {
    isChanged = false;
    for (let i = 0; i < given.length; i++)
      for (let k = 0; k < needed.length; k++) {
        const price = cost[i]![k]!;
        if (start[i]! + price < end[k]! - NOTHING) {
          end[k] = start[i]! + price;
          into[k] = i;
          isChanged = true;
        }
        if (moved[i]![k]! > NOTHING && end[k]! - price < start[i]! - NOTHING) {
          start[i] = end[k]! - price;
          backTo[i] = k;
          isChanged = true;
        }
      }
  }
  let best = -1;
  for (let k = 0; k < needed.length; k++)
    if (needed[k]! > NOTHING && end[k]! < Infinity && (best < 0 || end[k]! < end[best]!)) best = k;
  if (best < 0) return null;
  const steps: Step[] = [];
  let [at, from] = [best, into[best]!];
  for (;;) {
    steps.push({ from, to: at, isBack: false });
    if (backTo[from]! < 0 || steps.length > given.length + needed.length) break;
    at = backTo[from]!;
    steps.push({ from, to: at, isBack: true });
    from = into[at]!;
  }
  return { start: from, end: best, steps };
}
