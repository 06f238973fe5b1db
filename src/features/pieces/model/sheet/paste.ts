import Papa from 'papaparse';
import type { SheetBook } from './book';
import { completed } from './book';
import { COLUMNS, newRow, type Column, type Row } from './rows';

/** Rows that one sheet holds. */
export const MOST_ROWS = 1000;

/** What a column may be called in a spreadsheet, lower case. */
const TITLES: Readonly<Record<Column, readonly string[]>> = {
  number: ['number', 'own number', 'no', 'no.', 'nr', '#'],
  form: ['form', 'shape'],
  size: ['size', 'height', 'height x width'],
  clay: ['clay', 'body', 'clay body'],
  pattern: ['pattern', 'glazing'],
  glaze1: ['glaze', 'glaze 1', 'under', 'first glaze'],
  glaze2: ['glaze 2', 'over', 'second glaze'],
  glaze3: ['glaze 3', 'third glaze'],
  glaze4: ['glaze 4', 'fourth glaze'],
  times: ['times', 'coats'],
  pieces: ['pieces', 'how many', 'count'],
  maker: ['maker', 'made by', 'who'],
  note: ['note', 'notes', 'remark', 'remarks'],
};

const columnCalled = (title: string) =>
  COLUMNS.find((column) => TITLES[column].includes(title.trim().toLowerCase())) ?? null;

/** What came of a paste. */
export interface Pasted {
  readonly rows: readonly Row[];
  /** Lines and columns that found no room. */
  readonly left: number;
}

/** Whether a text is of several cells. */
export function isTable(text: string): boolean {
  return /[\t\n]/.test(text.trim());
}

/**
 * Writes a table, as a spreadsheet copies it, over the cells from one on; rows are added as they are needed. Where its
 * first line names columns, each goes under its own name, whichever cell it was pasted at. Empty cells of the table
 * leave nothing behind; names are read as when they are typed.
 *
 * @param from row and column of the upper left cell
 * @param visible the columns that are on the screen, in their order
 */
export function pasted(
  rows: readonly Row[],
  text: string,
  from: { readonly row: number; readonly column: Column },
  visible: readonly Column[],
  book: SheetBook,
): Pasted {
  const { data } = Papa.parse<string[]>(text.replace(/\r\n?/g, '\n').replace(/\n+$/, ''), {
    delimiter: text.includes('\t') ? '\t' : '',
  });
  const titles = (data[0] ?? []).map(columnCalled);
  const isTitled = titles.filter((title) => title !== null).length >= 2;
  const first = visible.indexOf(from.column);
  const columns = isTitled ? titles : (data[0] ?? []).map((_, i) => visible[first + i] ?? null);
  const lines = isTitled ? data.slice(1) : data;
  const room = Math.max(0, MOST_ROWS - from.row);
  const taken = lines.slice(0, room);
  const written = taken.map((line, i): Row => {
    const before = rows[from.row + i] ?? newRow();
    const cells = { ...before.cells };
    for (const [at, words] of line.entries()) {
      const column = columns[at];
      if (column) cells[column] = completed(column, words, book);
    }
    return { ...before, isOffered: false, cells };
  });
  const lost = isTitled
    ? titles.filter((title) => title === null).length
    : Math.max(0, ...lines.map((line) => line.length - columns.filter((column) => column !== null).length));
  return {
    rows: [...rows.slice(0, from.row), ...written, ...rows.slice(from.row + written.length)],
    left: lines.length - taken.length + lost,
  };
}
