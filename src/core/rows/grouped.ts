/**
 * A list in groups, in the order in which each is met first.
 *
 * @example groupedBy(['a', 'bb', 'c'], (word) => word.length) // Map { 1 => ['a', 'c'], 2 => ['bb'] }
 */
export function groupedBy<T, K>(list: readonly T[], keyOf: (one: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const one of list) {
    const key = keyOf(one);
    const known = groups.get(key);
    if (known) known.push(one);
    else groups.set(key, [one]);
  }
  return groups;
}
