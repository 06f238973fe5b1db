import type { Knex } from 'knex';

const ULID = 'char(26) character set ascii collate ascii_bin';

/** The primary key: a ULID made by the client. */
export function id(t: Knex.CreateTableBuilder): void {
  t.specificType('id', ULID).notNullable().primary();
}

/** A reference to another table's row. */
export function ref(t: Knex.CreateTableBuilder, column: string, table: string) {
  const made = t.specificType(column, ULID);
  t.foreign(column).references('id').inTable(table);
  return made;
}

/** A key too long for an index is stored as its SHA-256, base64url. */
export function keyHash(t: Knex.CreateTableBuilder): void {
  t.specificType('key_hash', 'char(43) character set ascii collate ascii_bin').notNullable().unique();
}
