/** The values of one field, row by row: outright, or as places in a list of those that differ. */
type Field<T> =
  { readonly of: readonly T[] } | { readonly words: readonly T[]; readonly at: readonly number[] };

/**
 * Rows with the same fields as text, field by field, what repeats written once: for the entries of a wall a third
 * of the same in JSON, and quicker to read.
 *
 * @param rows plain values only: text, numbers, booleans, null
 */
export function packed<T extends object>(rows: readonly T[]): string {
  const fields = Object.keys(rows[0] ?? {}) as (keyof T)[];
  return JSON.stringify(
    Object.fromEntries(fields.map((name) => [name, fieldOf(rows.map((row) => row[name]))])),
  );
}

function fieldOf<T>(values: readonly T[]): Field<T> {
  const places = new Map<T, number>();
  const at = new Array<number>(values.length);
  for (let i = 0; i < values.length; i++) {
    const value = values[i]!;
    let place = places.get(value);
    if (place === undefined) {
      place = places.size;
      if (place * 2 >= values.length) return { of: values };
      places.set(value, place);
    }
    at[i] = place;
  }
  return { words: [...places.keys()], at };
}

/** The rows again, see {@link packed}. */
export function unpacked<T extends object>(text: string): T[] {
  const fields = Object.entries(JSON.parse(text) as Record<string, Field<unknown>>).map(
    ([name, field]) =>
      [name, 'of' in field ? field.of : field.at.map((place) => field.words[place])] as const,
  );
  const count = fields[0]?.[1].length ?? 0;
  return Array.from(
    { length: count },
    (_, i) => Object.fromEntries(fields.map(([name, values]) => [name, values[i]])) as T,
  );
}
