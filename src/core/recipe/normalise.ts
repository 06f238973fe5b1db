import type { Line } from '../chemistry';

/** Sum of the base lines. */
export function baseTotal(lines: readonly Line[]): number {
  return lines.reduce((sum, line) => sum + (line.addition ? 0 : line.amount), 0);
}

/**
 * The recipe with its base brought to 100; additions are percent of the base already and stay as they are.
 *
 * @throws RangeError when the base adds up to nothing
 * @example normalise([{ material: 'Silica', amount: 99.96 }]) // amount 100
 */
export function normalise(lines: readonly Line[]): Line[] {
  const total = baseTotal(lines);
  if (!(total > 0)) throw new RangeError('the base adds up to 0');
  return lines.map((line) => (line.addition ? line : { ...line, amount: (line.amount / total) * 100 }));
}

/** One row of what changed between two recipes, in percent of the base. */
export interface Difference {
  readonly material: string;
  readonly addition: boolean;
  /** Null when the material is not in that recipe. */
  readonly before: number | null;
  readonly after: number | null;
}

/** Smaller differences than this (percent) are rounding. */
const SAME = 0.005;

/**
 * What differs between two versions of a recipe, both brought to 100; lines that are the same are left out.
 *
 * @example differenceOf(v1, v2) // [{ material: 'Silica', addition: false, before: 20, after: 25 }]
 */
export function differenceOf(before: readonly Line[], after: readonly Line[]): Difference[] {
  const [old, now] = [before, after].map(amountsOf) as [Map<string, Difference>, Map<string, Difference>];
  return [...new Set([...old.keys(), ...now.keys()])]
    .map((key): Difference => {
      const { material, addition } = (now.get(key) ?? old.get(key))!;
      return { material, addition, before: old.get(key)?.after ?? null, after: now.get(key)?.after ?? null };
    })
    .filter((row) => Math.abs((row.before ?? 0) - (row.after ?? 0)) > SAME);
}

/** Percent of each material, lines of the same material added up; kept in `after`. */
function amountsOf(lines: readonly Line[]): Map<string, Difference> {
  const amounts = new Map<string, Difference>();
  if (!(baseTotal(lines) > 0)) return amounts;
  for (const { material, amount, addition = false } of normalise(lines)) {
    const key = `${addition ? '+' : ''}${material.trim().toLowerCase()}`;
    const sum = (amounts.get(key)?.after ?? 0) + amount;
    amounts.set(key, { material, addition, before: null, after: sum });
  }
  return amounts;
}
