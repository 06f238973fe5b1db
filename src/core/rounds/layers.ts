import { codeOf, type Cell, type CellLayer, type Corner, type Plan } from './model';

/** A cell that lays glazes on each other. */
function laid(row: number, column: number, stack: readonly CellLayer[], words: string, body?: string): Cell {
  const all = stack.reduce((sum, layer) => sum + layer.times, 0);
  const parts: Record<string, number> = {};
  for (const { glaze, times } of stack) parts[glaze] = (parts[glaze] ?? 0) + times / all;
  return { label: codeOf(row, column), row, column, words, parts, stack, ...(body && { body }) };
}

const once = (glaze: string): CellLayer => ({ glaze, times: 1 });

/**
 * The ordered overlap grid: every glaze over every other, both orders, base in rows and top in columns, with
 * each alone on the diagonal: N² cells. With `singlesTwice` a last column has each alone twice, N more.
 */
export function overlapGrid(glazes: readonly Corner[], singlesTwice = false): Plan {
  const cells = glazes.flatMap((base, row) => [
    ...glazes.map((top, column) =>
      row === column
        ? laid(row, column, [once(base.name)], `${base.name} once`)
        : laid(row, column, [once(base.name), once(top.name)], `${top.name} over ${base.name}`),
    ),
    ...(singlesTwice
      ? [laid(row, glazes.length, [{ glaze: base.name, times: 2 }], `${base.name} twice`)]
      : []),
  ]);
  return { cells, rows: glazes.length, columns: glazes.length + Number(singlesTwice), shape: 'grid' };
}

/** Each glaze in 1, 2, … coats side by side, to find where more adds nothing or does harm. */
export function coatsLadder(glazes: readonly Corner[], most: number): Plan {
  if (!(Number.isInteger(most) && most >= 1)) throw new RangeError('most must be a whole number ≥ 1');
  const cells = glazes.flatMap(({ name }, row) =>
    Array.from({ length: most }, (_, i) =>
      laid(row, i, [{ glaze: name, times: i + 1 }], `${name} ${['once', 'twice'][i] ?? `${i + 1} times`}`),
    ),
  );
  return { cells, rows: glazes.length, columns: most, shape: 'grid' };
}

/** Each glaze on each clay, once. */
export function clayComparison(glazes: readonly Corner[], bodies: readonly string[]): Plan {
  const cells = glazes.flatMap(({ name }, row) =>
    bodies.map((body, column) => laid(row, column, [once(name)], `${name} on ${body}`, body)),
  );
  return { cells, rows: glazes.length, columns: bodies.length, shape: 'grid' };
}
