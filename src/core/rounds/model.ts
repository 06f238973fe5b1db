import type { Line } from '../chemistry';

/** A glaze that goes into a round: its name, and its recipe when it has one. */
export interface Corner {
  readonly name: string;
  readonly lines?: readonly Line[] | undefined;
}

/** One layer of a cell, bottom first; times counts dips. */
export interface CellLayer {
  readonly glaze: string;
  readonly times: number;
}

/** One test of a round: a place in the tray, and what makes it what it is. */
export interface Cell {
  /** Short code, letters for the row and a number for the column: "B3". */
  readonly label: string;
  readonly row: number;
  readonly column: number;
  /** What it is, in words. */
  readonly words: string;
  /** Share of each corner by dry weight, adding up to 1; of each glaze's applications for a stack. */
  readonly parts: Readonly<Record<string, number>>;
  /** The recipe, when every glaze in it has one. */
  readonly lines?: readonly Line[];
  /** What is laid on, bottom first, when it is not one new glaze. */
  readonly stack?: readonly CellLayer[];
  /** The clay, when the round varies it. */
  readonly body?: string;
}

/** How the cells of a round lie on the table. */
export interface Plan {
  readonly cells: readonly Cell[];
  readonly rows: number;
  readonly columns: number;
  readonly shape: 'grid' | 'triangle';
}

/** The most tests one round may have: a thousand tiles is a year's work already. */
export const MOST_CELLS = 1000;

/**
 * The code of a place in the tray.
 *
 * @example codeOf(1, 2) // 'B3'
 */
export function codeOf(row: number, column: number): string {
  const letter = (n: number): string =>
    (n >= 26 ? letter(Math.floor(n / 26) - 1) : '') + String.fromCharCode(65 + (n % 26));
  return `${letter(row)}${column + 1}`;
}
