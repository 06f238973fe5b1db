import { ulid } from 'ulid';

/** The columns of a sheet, in the order that Tab goes. */
export const COLUMNS = [
  ...(['number', 'form', 'size', 'clay', 'pattern', 'glaze1', 'glaze2', 'glaze3', 'glaze4'] as const),
  ...(['times', 'pieces', 'maker', 'note'] as const),
] as const;
export type Column = (typeof COLUMNS)[number];

/** Columns that take the glazes of a row, the one put on first first. */
export const GLAZE_COLUMNS = ['glaze1', 'glaze2', 'glaze3', 'glaze4'] as const satisfies readonly Column[];

/** What is written in a row: words as they were typed. */
export type Cells = Readonly<Record<Column, string>>;

/** A piece, or several that are alike, as one line of a sheet. */
export interface Row {
  /** Stays with it through failed saves, so that none is saved twice. */
  readonly id: string;
  readonly cells: Cells;
  /** Copied from the row above and not touched yet: it is neither counted nor saved. */
  readonly isOffered: boolean;
}

export const EMPTY_CELLS: Cells = {
  ...{ number: '', form: '', size: '', clay: '', pattern: '', glaze1: '', glaze2: '', glaze3: '' },
  ...{ glaze4: '', times: '', pieces: '', maker: '', note: '' },
};

/** A row with nothing on it but what is told. */
export function newRow(cells: Partial<Cells> = {}, isOffered = true): Row {
  return { id: ulid(), cells: { ...EMPTY_CELLS, ...cells }, isOffered };
}

/** The number after a number that a maker gave: its last figures one higher. @example nextNumber('T9') // 'T10' */
export function nextNumber(number: string): string {
  const figures = /^(.*?)(\d+)$/.exec(number.trim());
  if (!figures) return '';
  const [, before, digits] = figures;
  return before + String(Number(digits) + 1).padStart(digits!.length, '0');
}

/** A row like another: what is of that piece alone is left out, an own number counts on. */
export function rowAfter({ cells }: Row, isOffered = true): Row {
  return newRow({ ...cells, number: nextNumber(cells.number), note: '', pieces: '' }, isOffered);
}

/** The rows with one cell written; a row that was offered is one of the sheet from then on, also where it stays as it was. */
export function withCell(rows: readonly Row[], index: number, column: Column, text: string): readonly Row[] {
  return rows.map((row, i) =>
    i === index ? { ...row, isOffered: false, cells: { ...row.cells, [column]: text } } : row,
  );
}

/** The rows with a cell's words in the same column of all below it; own numbers count on. */
export function filledDown(rows: readonly Row[], index: number, column: Column): readonly Row[] {
  let text = rows[index]?.cells[column] ?? '';
  return rows.map((row, i) => {
    if (i <= index) return row;
    if (column === 'number') text = nextNumber(text);
    return { ...row, cells: { ...row.cells, [column]: text } };
  });
}

/** The rows with a copy of one right below it. */
export function copied(rows: readonly Row[], index: number): readonly Row[] {
  return rows.toSpliced(index + 1, 0, rowAfter(rows[index]!, false));
}

/** The rows that will be saved. */
export function written(rows: readonly Row[]): readonly Row[] {
  return rows.filter(({ isOffered }) => !isOffered);
}
