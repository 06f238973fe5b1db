import type { Db } from './db';

/** Writes among which a late commit is still seen: a transaction that outlasts so many others there is none. */
const RECENT = 1000;

/**
 * The revision of the studio's records: another text after any write. Every write is noted in the change table. A
 * late commit may carry an id earlier than the last: it moves the last {@link RECENT} of them along, and so the
 * first of these.
 */
export async function currentRevision(base: Db): Promise<string> {
  const recent = base('change').select('id').orderBy('id', 'desc').limit(RECENT).as('recent');
  const row = await base(recent).first<{ last: string | null; first: string | null; count: number }>(
    base.raw('max(id) as last'),
    base.raw('min(id) as first'),
    base.raw('count(*) as count'),
  );
  return [row.last, row.first, row.count].join('-');
}
