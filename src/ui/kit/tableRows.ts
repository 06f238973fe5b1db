/** A value by which a row is put in order, filtered and written to a spreadsheet. */
export type TableValue = string | number | null;

/** Which column rows are ordered by. */
export interface TableOrder {
  /** Its index. */
  readonly column: number;
  readonly direction: 'asc' | 'desc';
}

/** Rows in the order of a column: numbers by size, words as people order them, what is missing last either way. */
export function inOrderOf<R extends { readonly values?: readonly TableValue[] | undefined }>(
  rows: readonly R[],
  { column, direction }: TableOrder,
): R[] {
  const sign = direction === 'asc' ? 1 : -1;
  const valueOf = (row: R) => row.values?.[column] ?? null;
  return [...rows].sort((one, two) => {
    const [a, b] = [valueOf(one), valueOf(two)];
    if (a === null || b === null) return Number(a === null) - Number(b === null);
    if (typeof a === 'number' && typeof b === 'number') return sign * (a - b);
    return sign * String(a).localeCompare(String(b), undefined, { numeric: true });
  });
}

/** Rows that say each word of a text somewhere. */
export function rowsWith<R extends { readonly values?: readonly TableValue[] | undefined }>(
  rows: readonly R[],
  text: string,
): readonly R[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return rows;
  return rows.filter(({ values = [] }) => {
    const said = values.join(' ').toLowerCase();
    return words.every((word) => said.includes(word));
  });
}
