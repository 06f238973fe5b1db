import type { Line } from '../chemistry';
import { baseTotal } from './normalise';

/** One line of a batch sheet. */
export interface BatchLine {
  readonly material: string;
  /** Percent of the base; of an addition, percent on top of it. */
  readonly percent: number;
  readonly grams: number;
  readonly addition: boolean;
}

export interface Batch {
  readonly lines: readonly BatchLine[];
  readonly baseGrams: number;
  /** Base and additions. */
  readonly totalGrams: number;
  /** Water for the wanted specific gravity; null when none was asked for. */
  readonly waterGrams: number | null;
  readonly slopMl: number | null;
}

/** Specific gravity of ordinary dry glaze materials taken together (common practice, no source). */
export const DRY_SPECIFIC_GRAVITY = 2.6;

/**
 * Scales a recipe to a batch: the base is normalised to 100 %, additions stay percent of the base on top.
 *
 * @param grams of base
 * @param specificGravity of the slop, g/ml; water is for the total dry weight
 * @throws RangeError when the base adds up to nothing, or no slop can have that specific gravity
 * @example batchOf([{ material: 'Silica', amount: 50 }, { material: 'Whiting', amount: 49.96 }], { grams: 300 })
 */
export function batchOf(
  lines: readonly Line[],
  {
    grams,
    specificGravity,
    drySpecificGravity = DRY_SPECIFIC_GRAVITY,
  }: { grams: number; specificGravity?: number | undefined; drySpecificGravity?: number | undefined },
): Batch {
  const base = baseTotal(lines);
  if (!(base > 0)) throw new RangeError('the base adds up to 0');
  const scaled = lines.map((line): BatchLine => {
    const percent = line.addition ? line.amount : (line.amount / base) * 100;
    return {
      material: line.material,
      percent,
      grams: (percent / 100) * grams,
      addition: Boolean(line.addition),
    };
  });
  const totalGrams = scaled.reduce((sum, line) => sum + line.grams, 0);
  const water =
    specificGravity === undefined ? null : waterFor(totalGrams, specificGravity, drySpecificGravity);
  return {
    lines: scaled,
    baseGrams: grams,
    totalGrams,
    waterGrams: water,
    slopMl: water === null ? null : water + totalGrams / drySpecificGravity,
  };
}

/**
 * Water in grams that brings dry material to a specific gravity: D (1 − g/S) / (g − 1), a mass balance
 * (Brongniart).
 *
 * @throws RangeError unless 1 < target < dry
 * @example waterFor(1000, 1.45, 2.6) // 982.9
 */
export function waterFor(dryGrams: number, target: number, dry: number): number {
  if (!(target > 1 && target < dry)) throw new RangeError(`must lie between 1 (water) and ${dry} (dry)`);
  return (dryGrams * (1 - target / dry)) / (target - 1);
}

/**
 * Dry grams in one millilitre of slop: (g − 1) S / (S − 1).
 *
 * @example dryPerMl(1.45, 2.6) // 0.7313
 */
export function dryPerMl(specificGravity: number, dry: number): number {
  return ((specificGravity - 1) * dry) / (dry - 1);
}
