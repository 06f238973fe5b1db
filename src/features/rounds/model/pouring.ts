import type { MaterialBook } from '@/core/chemistry';
import { drySpecificGravity, dryPerMl, normalise } from '@/core/recipe';
import { pourPlan, type PourPlan } from '@/core/rounds';
import type { RecipeInUse } from '@/records/materials';
import type { RoundCell } from '@/records/rounds';

/** What a dipping slop usually has, until it is measured. */
export const USUAL_GRAVITY = 1.45;

/**
 * The pouring of a round's cells, its corner slops at their own specific gravity.
 *
 * @returns in words why it cannot be poured
 */
export function pourFor(
  cells: readonly RoundCell[],
  corners: readonly RecipeInUse[],
  book: MaterialBook,
  gravityOf: (id: string) => number,
  ml: number,
): PourPlan | string {
  try {
    const slops = corners.map(({ glazeId, lines }) => {
      const dry = drySpecificGravity(lines, book);
      const onTop = normalise(lines).reduce((sum, line) => sum + line.amount, 0) / 100;
      return { name: glazeId, basePerMl: dryPerMl(gravityOf(glazeId), dry) / onTop };
    });
    return pourPlan(cells, slops, ml);
  } catch (error) {
    return `Cannot be blended by volume: ${(error as Error).message}.`;
  }
}
