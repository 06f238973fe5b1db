import {
  columnsOf,
  gathered,
  joined,
  type ColumnName,
  type FiredZoneFacts,
  type NamedColumn,
} from './columns';
import type { Table } from './contrast';
import { SPLITS, type Factor } from './factors';

/** Work that stops after every step and gives its result at the end. */
export type Steps<T> = Generator<void, T, void>;

/** Matched sets, or pairs of levels, of one step. */
export const OF_A_STEP = 200;

/** Everything that was read, by columns. */
export interface Studio {
  readonly column: (name: ColumnName) => NamedColumn;
  readonly hasDefect: Uint8Array;
}

export function studioOf(zones: readonly FiredZoneFacts[]): Studio {
  return {
    column: columnsOf(zones),
    hasDefect: Uint8Array.from(zones, (zone) => Number(zone.hasDefect)),
  };
}

/** The zones of one level in one matched set. */
export interface Cell {
  readonly level: number;
  /** Rows of its zones. */
  readonly rows: Int32Array;
  /** Pieces with the defect and without. */
  readonly counts: Table[number];
}

/** Calls back with the cells of each set of zones that are the same but for the factor; two or more. */
export function* eachMatched(
  factor: Factor,
  studio: Studio,
  call: (cells: readonly Cell[]) => void,
): Steps<void> {
  const { same, level } = SPLITS[factor];
  const [levels, alike] = [studio.column(level), joined(same.map(studio.column))];
  const { rows, starts } = gathered(joined([alike, levels]));
  const count = starts.length - 1;
  const setOf = new Int32Array(count);
  for (let cell = 0; cell < count; cell++) setOf[cell] = alike.ids[rows[starts[cell]!]!]!;
  const sets = gathered({ ids: setOf, count: alike.count });
  for (let set = 0; set < alike.count; set++) {
    if (set % OF_A_STEP === 0) yield;
    if (sets.starts[set + 1]! - sets.starts[set]! < 2) continue;
    const cells: Cell[] = [];
    for (let at = sets.starts[set]!; at < sets.starts[set + 1]!; at++) {
      const cell = sets.rows[at]!;
      const own = rows.subarray(starts[cell], starts[cell + 1]);
      cells.push({ level: levels.ids[own[0]!]!, rows: own, counts: countsOf(own, studio) });
    }
    call(cells);
  }
}

/** How many show it, and how many do not. */
export function tallied(pieces: readonly boolean[]): Table[number] {
  const having = pieces.filter(Boolean).length;
  return [having, pieces.length - having];
}

/** The pieces of some zones, each with whether any of these zones shows the defect. */
export function piecesOf(
  rows: ArrayLike<number> & Iterable<number>,
  { column, hasDefect }: Studio,
): Map<number, boolean> {
  const { ids } = column('piece');
  const pieces = new Map<number, boolean>();
  for (const row of rows) pieces.set(ids[row]!, hasDefect[row] === 1 || pieces.get(ids[row]!) === true);
  return pieces;
}

/** Pieces with the defect and without. */
export function countsOf(rows: ArrayLike<number> & Iterable<number>, studio: Studio): Table[number] {
  if (rows.length === 1) return studio.hasDefect[rows[0]!] ? [1, 0] : [0, 1];
  return tallied([...piecesOf(rows, studio).values()]);
}

/** Whether no zone of one level has this in common with a zone of the other; what is not known may be. */
export function isApart(one: Int32Array, two: Int32Array, ids: Int32Array): boolean {
  const known = (row: number) => ids[row]! >= 0;
  if (!one.every(known) || !two.every(known)) return false;
  if (one.length * two.length <= FEW) return one.every((a) => two.every((b) => ids[a] !== ids[b]));
  const own = new Set<number>();
  for (const row of one) own.add(ids[row]!);
  return two.every((row) => !own.has(ids[row]!));
}

/** Pairs of zones that are quicker compared one by one. */
const FEW = 64;
