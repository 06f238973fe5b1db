import type { Db } from '@/records/platform';

/** Tables whose rows are nobody's doing: sessions, what is derived, what controllers and devices leave. */
const UNTOLD = new Set([
  ...['change', 'session', 'write_done', 'job', 'series', 'number_block', 'failed_lookup'],
  ...['entry', 'headword', 'ground', 'zone', 'log_point', 'knex_migrations', 'knex_migrations_lock'],
]);

const forgotten = new Set<string>();

/** The tables that transactions wrote since the last call without leaving a row in `change`. */
export function takeForgotten(): string[] {
  const tables = [...forgotten].sort();
  forgotten.clear();
  return tables;
}

/** Watches every transaction on a database; `takeForgotten` tells what it saw. */
export function watchWrites(base: Db): void {
  const open = new Map<string, { tables: Set<string>; isNoted: boolean }>();
  base.on('query', ({ sql, __knexTxId: id }: { sql: string; __knexTxId?: string }) => {
    if (!id) return;
    const trx = open.get(id) ?? { tables: new Set<string>(), isNoted: false };
    open.set(id, trx);
    const table = /^\s*(?:insert (?:ignore )?into|update|delete from)\s+`?(\w+)/i.exec(sql)?.[1];
    // A migration is nobody's doing either.
    if (table === 'change' || table === 'knex_migrations') trx.isNoted = true;
    else if (table && !UNTOLD.has(table)) trx.tables.add(table);
    if (/^commit/i.test(sql) && !trx.isNoted) for (const one of trx.tables) forgotten.add(one);
    if (/^(commit|rollback)/i.test(sql)) open.delete(id);
  });
}
