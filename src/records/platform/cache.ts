import type { Db } from './db';

/** Writes among which a late commit is still seen: a transaction that outlasts so many others there is none. */
const RECENT = 1000;

/**
 * Where the studio's records stand: another text after any write. Every write is noted in the change table. A
 * late commit may carry an id earlier than the last: it moves the last {@link RECENT} of them along, and so the
 * first of these.
 */
export async function currentRevision(base: Db): Promise<string> {
  const recent = base('change').select('id').orderBy('id', 'desc').limit(RECENT).as('recent');
  const row = await base(recent).first(
    base.raw('max(id) as last'),
    base.raw('min(id) as first'),
    base.raw('count(*) as count'),
  );
  return [row.last, row.first, row.count].join('-');
}

interface Kept<T> {
  readonly mark: string;
  readonly value: Promise<T>;
  /** The last value that was reckoned to its end; null for none. */
  before: T | null;
  isUnderWay: boolean;
}

/**
 * Keeps what is reckoned from the records until something is written: two who ask at a time share one reckoning.
 *
 * @param reckon what is kept, by key
 * @param most keys kept at a time
 * @param mayLag whether the last value may answer while a newer one is reckoned, one at a time; never by default
 * @returns what is kept, by key; who has just asked where the records stand gives the mark along
 */
export function cachedUntilWrite<T>(
  reckon: (base: Db, key: string) => Promise<T>,
  most: number,
  mayLag: (value: T) => boolean = () => false,
): (base: Db, key: string, mark?: string) => Promise<T> {
  const kept = new WeakMap<Db, Map<string, Kept<T>>>();
  return async (base, key, given) => {
    const mark = given ?? (await currentRevision(base));
    const own = kept.get(base) ?? new Map<string, Kept<T>>();
    kept.set(base, own);
    const known = own.get(key);
    const isAnswered = known && known.before !== null && mayLag(known.before);
    // Writes that come faster than they are reckoned wait for the one under way.
    if (known?.mark !== mark && !(isAnswered && known.isUnderWay)) {
      const before = known?.before ?? null;
      const one: Kept<T> = { mark, value: reckon(base, key), before, isUnderWay: true };
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
