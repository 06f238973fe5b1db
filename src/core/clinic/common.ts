import type { Evidence } from './evidence';

/**
 * What several pieces have in common: the keys that say the same of each of them.
 *
 * @example common([{ coats: 2, bodyCoarse: true }, { coats: 1, bodyCoarse: true }]) // { bodyCoarse: true }
 */
export function common(all: readonly Evidence[]): Evidence {
  const [first, ...others] = all;
  const same = (key: string, value: unknown) =>
    others.every((one) => JSON.stringify(one[key as keyof Evidence]) === JSON.stringify(value));
  return Object.fromEntries(Object.entries(first ?? {}).filter(([key, value]) => same(key, value)));
}
