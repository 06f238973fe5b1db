import type { Line } from '../chemistry';
import type { Atmosphere, Band, Heat, GlazeKind, Method, Texture } from '../vocabulary';

/** A glaze that goes into a round: its name, and its recipe when it has one. */
export interface Corner {
  readonly name: string;
  readonly lines?: readonly Line[] | undefined;
}

/** Stands in a stack for the new glaze that a cell mixes, until it has an id. */
export const MIXTURE = 'mixture';

/** One layer of a cell, bottom first; times counts applications. */
export interface CellLayer {
  readonly glaze: string;
  readonly times: number;
  /** None where it is dipped. */
  readonly method?: Method;
  /** Where it lies; none where it lies as most tests do, see `usualBand`. */
  readonly bands?: readonly Band[];
}

/** The most layers that one test may have. */
export const MOST_LAYERS = 4;

/** What a firing is meant to be: the cone aimed at, and the atmosphere. */
export interface FiringTarget {
  readonly cone: Heat;
  readonly atmosphere: Atmosphere;
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
  /** What is laid on, bottom first; none for one new glaze dipped once. */
  readonly stack?: readonly CellLayer[];
  /** The clay, what was done to it, and the cone and atmosphere, when the round varies them. */
  readonly body?: string;
  readonly texture?: Texture | null;
  readonly target?: FiringTarget;
  /** Which part of the round it is in, counted from 0; the places of all parts are the same. */
  readonly block?: number;
}

/** How the cells of a round lie on the table. */
export interface Plan {
  readonly cells: readonly Cell[];
  readonly rows: number;
  readonly columns: number;
  readonly shape: 'grid' | 'triangle';
}

/** A glaze as a round chooses among them. */
export interface NamedRecipe {
  readonly id: string;
  readonly name: string;
  readonly kind: GlazeKind;
  readonly colour: string;
  readonly lines: readonly Line[] | null;
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
