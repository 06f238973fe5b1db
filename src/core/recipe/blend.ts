import { analyse, BUILT_IN, type Line, type MapField, type MaterialBook } from '../chemistry';
import { normalise } from './normalise';

/**
 * The parts of every cell of a triaxial, row by row from the corner A down: each adds up to 1.
 *
 * @param steps cells along an edge, both ends included; 6 gives 21 cells, 11 gives 66, 61 gives 1891
 * @throws RangeError for fewer than 2 steps
 */
export function triaxialParts(steps: number): (readonly [number, number, number])[] {
  if (!(Number.isInteger(steps) && steps >= 2)) throw new RangeError('steps must be a whole number ≥ 2');
  const last = steps - 1;
  const cells: (readonly [number, number, number])[] = [];
  for (let row = 0; row <= last; row++)
    for (let c = 0; c <= row; c++) cells.push([(last - row) / last, (row - c) / last, c / last]);
  return cells;
}

/**
 * The recipe of a mixture: each recipe, its base brought to 100, weighted by its part.
 *
 * @param recipes and as many `parts`, which add up to 1
 * @example mixRecipes([a, b], [0.5, 0.5]) // every material at half of what each has
 */
export function mixRecipes(recipes: readonly (readonly Line[])[], parts: readonly number[]): Line[] {
  const amounts = new Map<string, Line>();
  recipes.forEach((lines, i) => {
    if (!parts[i]) return;
    for (const { material, amount, addition = false } of normalise(lines)) {
      const key = `${addition}${material}`;
      const sum = (amounts.get(key)?.amount ?? 0) + amount * parts[i];
      amounts.set(key, { material, amount: sum, addition });
    }
  });
  return [...amounts.values()];
}

/** One cell of a triaxial, calculated. */
export interface TriaxialCell {
  readonly parts: readonly [number, number, number];
  /** Appen, 1e-6/K. */
  readonly expansion: number | null;
  readonly silicaAlumina: number | null;
  readonly mapField: MapField | null;
  /** Moles of boron in the unity formula. */
  readonly boron: number;
}

/**
 * Every cell of a triaxial between three recipes with its chemistry.
 *
 * @param corners three recipes
 * @throws RangeError for fewer than 2 steps or a corner without a base
 */
export function triaxialCells(
  corners: readonly (readonly Line[])[],
  steps: number,
  book: MaterialBook = BUILT_IN,
): TriaxialCell[] {
  return triaxialParts(steps).map((parts) => {
    const { expansion, silicaAlumina, mapField, unity } = analyse(mixRecipes(corners, parts), { book });
    return { parts, expansion: expansion.appen, silicaAlumina, mapField, boron: unity.B2O3 ?? 0 };
  });
}
