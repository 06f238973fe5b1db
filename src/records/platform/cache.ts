import type { Db } from './db';
import { currentRevision } from './revision';

interface Cached<T> {
  readonly revision: string;
  readonly value: Promise<T>;
  /** The last value that was calculated to its end; null for none. */
  before: T | null;
  isUnderWay: boolean;
}

/**
 * Keeps what is calculated from the records until something is written: two who ask at a time share one calculation.
 *
 * @param calculate what is kept, by key
 * @param most keys kept at a time
 * @param mayLag whether the last value may answer while a newer one is calculated, one at a time; never by default
 * @returns what is kept, by key; who has just asked for the revision hands it on
 */
export function cachedUntilWrite<T>(
  calculate: (base: Db, key: string) => Promise<T>,
  most: number,
  mayLag: (value: T) => boolean = () => false,
): (base: Db, key: string, revision?: string) => Promise<T> {
  const caches = new WeakMap<Db, Map<string, Cached<T>>>();
  return async (base, key, given) => {
    const revision = given ?? (await currentRevision(base));
    const own = caches.get(base) ?? new Map<string, Cached<T>>();
    caches.set(base, own);
    const known = own.get(key);
    const isAnswered = known && known.before !== null && mayLag(known.before);
    // Writes that come faster than the calculation wait for the one under way.
    if (known?.revision !== revision && !(isAnswered && known.isUnderWay)) {
      const before = known?.before ?? null;
      const one: Cached<T> = { revision, value: calculate(base, key), before, isUnderWay: true };
      own.delete(key);
      own.set(key, one);
      for (const old of [...own.keys()].slice(0, -most)) own.delete(old);
      one.value.then(
        (value) => Object.assign(one, { before: value, isUnderWay: false }),
        () => own.get(key) === one && own.delete(key),
      );
    }
    const { value, before } = own.get(key)!;
    return before !== null && mayLag(before) ? before : value;
  };
}
