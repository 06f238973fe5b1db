import type { Cell } from './model';

/** A slop at a corner of a blend. */
export interface CornerSlop {
  readonly name: string;
  /** Grams of base in a millilitre: dry grams by the recipe's own dry density, less what lies on top. */
  readonly basePerMl: number;
}

/** What is poured into one cup. */
export interface CellPour {
  readonly label: string;
  /** Millilitres of each corner. */
  readonly ml: Readonly<Record<string, number>>;
}

export interface PourPlan {
  readonly cells: readonly CellPour[];
  /** Slop needed of each corner, ml. */
  readonly totals: Readonly<Record<string, number>>;
  /** Corners in the order they are poured, most cups first; the jug is washed between them. */
  readonly order: readonly string[];
  readonly washes: number;
  /** Cups with a pour too small to measure, by their codes. */
  readonly tooSmall: readonly string[];
}

/** Below this a kitchen syringe is a guess, ml (common practice, no source). */
export const SMALLEST_POUR = 1;

/**
 * Millilitres of each corner for every cup of a blend, so that the dry weights stand as planned although the
 * slops hold unequal grams: ml ∝ part ÷ grams per ml. Pouring one corner into all its cups before the
 * next needs the fewest washes, one fewer than there are corners.
 *
 * @param mlEach in each cup
 * @throws RangeError for a corner without slop, or a slop without dry matter
 * @example pourPlan(cells, [{ name: 'A', basePerMl: 0.7 }, { name: 'B', basePerMl: 0.8 }], 60).totals
 */
export function pourPlan(cells: readonly Cell[], slops: readonly CornerSlop[], mlEach: number): PourPlan {
  const dry = new Map(slops.map((slop) => [slop.name, slop.basePerMl]));
  const pours = cells.map(({ label, parts }): CellPour => {
    const volumes = Object.entries(parts)
      .filter(([, part]) => part > 0)
      .map(([name, part]) => {
        const perMl = dry.get(name);
        if (perMl === undefined) throw new RangeError(`${name} has no slop`);
        if (!(perMl > 0)) throw new RangeError(`the slop of ${name} holds nothing dry`);
        return [name, part / perMl] as const;
      });
    const all = volumes.reduce((sum, [, volume]) => sum + volume, 0);
    return { label, ml: Object.fromEntries(volumes.map(([name, v]) => [name, (v / all) * mlEach])) };
  });
  const totals: Record<string, number> = {};
  const cups: Record<string, number> = {};
  for (const { ml } of pours)
    for (const [name, volume] of Object.entries(ml)) {
      totals[name] = (totals[name] ?? 0) + volume;
      cups[name] = (cups[name] ?? 0) + 1;
    }
  const order = Object.keys(totals).sort((a, b) => cups[b]! - cups[a]!);
  return {
    cells: pours,
    totals,
    order,
    washes: Math.max(0, order.length - 1),
    tooSmall: pours
      .filter(({ ml }) => Object.values(ml).some((volume) => volume < SMALLEST_POUR))
      .map((pour) => pour.label),
  };
}
