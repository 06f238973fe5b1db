import type { Db } from './db';

/**
 * Where the studio's records stand: another text after any write. Every write is noted in the change table; a
 * late commit may carry an earlier id, so they are counted too.
 */
export async function markOf(base: Db): Promise<string> {
  const row = await base('change').first(base.raw('max(id) as last'), base.raw('count(*) as count'));
  return `${row.last} ${row.count}`;
}
