import { analyse } from './analyse';
import { BUILT_IN, type MaterialBook } from './book';
import type { Line } from './model';

/** What of a recipe is not known. */
export interface UnknownPart {
  /** Percent of the dry batch, additions included; 0 when everything is known. */
  readonly percent: number;
  /** The materials that are not in the book, without repeats. */
  readonly materials: readonly string[];
}

/** With more of the dry batch unknown than this, %, a recipe is not placed on map, fit or ladder (judgement). */
const MOST_UNKNOWN = 3;

/**
 * How much of a recipe is of materials that are not in the book. Every figure calculated from the recipe is of the
 * rest.
 *
 * @example unknownIn([{ material: 'Silica', amount: 90 }, { material: 'Frit X', amount: 10 }])
 * // { percent: 10, materials: ['Frit X'] }
 */
export function unknownIn(lines: readonly Line[], book: MaterialBook = BUILT_IN): UnknownPart {
  const base = lines.reduce((sum, line) => sum + (line.addition ? 0 : line.amount), 0);
  const gramsOf = ({ addition, amount }: Line) => (addition ? (amount * base) / 100 : amount);
  const all = lines.reduce((sum, line) => sum + gramsOf(line), 0);
  const unknown = lines.filter(({ material, amount }) => amount > 0 && !book.find(material));
  const grams = unknown.reduce((sum, line) => sum + gramsOf(line), 0);
  return {
    percent: all > 0 ? (grams / all) * 100 : 0,
    materials: [...new Set(unknown.map(({ material }) => material))],
  };
}

/** Whether enough of a recipe is known to place it on the map, to judge its fit and to calculate ladders from it. */
export function isKnownEnough(lines: readonly Line[], book?: MaterialBook): boolean {
  return unknownIn(lines, book).percent <= MOST_UNKNOWN;
}

/**
 * The expansion by Appen that a recipe is judged by, 1e-6/K.
 *
 * @returns null without a flux, and when too much of the recipe is unknown
 */
export function expansionOf(lines: readonly Line[], book?: MaterialBook): number | null {
  return isKnownEnough(lines, book) ? analyse(lines, { book }).expansion.appen : null;
}
