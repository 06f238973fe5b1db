import type { GlazingPattern } from '@/core/coats';
import type { SheetBook } from './book';
import { COLUMNS, GLAZE_COLUMNS, rowAfter, written, type Cells, type Column, type Row } from './rows';

/** A cell of a sheet. */
export interface At {
  readonly row: number;
  readonly column: Column;
}

export type Move = 'next' | 'previous' | 'enter' | 'up' | 'down';

/** The columns that a sheet shows: as many glazes as its patterns take, makers only where there are others. */
export function visibleColumns(rows: readonly Row[], book: SheetBook): Column[] {
  const most = Math.max(2, ...rows.map(({ cells }) => patternIn(cells, book)?.glazes.length ?? 0));
  return COLUMNS.filter((column) => {
    const slot = GLAZE_COLUMNS.findIndex((one) => one === column);
    return slot < most && (column !== 'maker' || book.makers.length > 0);
  });
}

/** The pattern that a row names; null while it names none. */
export function patternIn({ pattern }: Cells, { patterns }: SheetBook): GlazingPattern | null {
  return patterns.find(({ name }) => name.toLowerCase() === pattern.trim().toLowerCase()) ?? null;
}

/** Whether a row has a use for a column: glazes beyond those of its pattern are passed over. */
export function takes(cells: Cells, column: Column, book: SheetBook): boolean {
  const slot = GLAZE_COLUMNS.findIndex((one) => one === column);
  return slot < (patternIn(cells, book)?.glazes.length ?? (cells.pattern.trim() ? 4 : 0));
}

/**
 * Where a key goes from a cell. Tab passes what a row has no use for, and goes on in the next row; Enter goes down to
 * where the row's work began, and from the last row to a new one that is offered like it. From a row that is only
 * offered neither goes on.
 *
 * @param anchor the column in which the work of this row began
 * @returns the cell, and the rows with the one that is offered
 */
export function moved(
  rows: readonly Row[],
  at: At,
  move: Move,
  anchor: Column,
  visible: readonly Column[],
  book: SheetBook,
): { readonly at: At; readonly rows: readonly Row[] } {
  const useful = (row: number) => visible.filter((column) => takes(rows[row]!.cells, column, book));
  const stay = { at, rows };
  const own = useful(at.row);
  const place = own.indexOf(at.column);
  if (move === 'next' && place < own.length - 1) return { at: { ...at, column: own[place + 1]! }, rows };
  if (move === 'previous' && place > 0) return { at: { ...at, column: own[place - 1]! }, rows };
  if (move === 'previous' && at.row > 0)
    return { at: { row: at.row - 1, column: useful(at.row - 1).at(-1)! }, rows };
  if (move === 'previous') return stay;
  if (move === 'up') return at.row > 0 ? { at: { ...at, row: at.row - 1 }, rows } : stay;
  const column = move === 'next' ? own[0]! : move === 'enter' ? anchor : at.column;
  if (at.row < rows.length - 1) return { at: { row: at.row + 1, column }, rows };
  const last = rows[at.row]!;
  if (move === 'down' || last.isOffered) return stay;
  return { at: { row: at.row + 1, column }, rows: [...rows, rowAfter(last)] };
}

/** Pieces that the sheet comes to, and its rows, without what is only offered. */
export function sheetCounts(
  rows: readonly Row[],
  countOf: (row: Row) => number,
): { readonly rows: number; readonly pieces: number } {
  const own = written(rows);
  return { rows: own.length, pieces: own.reduce((sum, row) => sum + countOf(row), 0) };
}
