import type { Tables } from 'knex/types/tables';
import { recordChange } from './changes';
import type { Db } from './db';
import { Conflict, NotFound, Refusal } from './errors';
import { readRow, toRow, type Mapping } from './mapping';

/** The rows of a table as they are read. */
export type RowOf<Name extends keyof Tables> = Tables[Name] extends { base: infer R } ? R & object : never;

/** The names of a table for people: "There is already a clay called …". */
const SPOKEN: Partial<Record<keyof Tables, string>> = { body: 'clay' };
const spoken = (table: keyof Tables) => SPOKEN[table] ?? table.replaceAll('_', ' ');

/** Tables whose rows have a name. */
export type Named = {
  [Name in keyof Tables]: RowOf<Name> extends { id: string; name: string } ? Name : never;
}[keyof Tables];
type Versioned = {
  [Name in keyof Tables]: RowOf<Name> extends { id: string; version: number } ? Name : never;
}[keyof Tables];

/** Refuses a name that another row of the table has. @throws Refusal of the field `name` */
export async function refuseTakenName(
  trx: Db,
  table: Named,
  draft: { readonly id: string; readonly name: string },
): Promise<void> {
  const other = await trx<{ id: string; name: string }>(table)
    .where({ name: draft.name })
    .whereNot({ id: draft.id })
    .first('id');
  if (other) throw new Refusal('name', `There is already a ${spoken(table)} called ${draft.name}.`);
}

/** Adds a row and notes it in `change`, in one transaction. `more` are columns that no field of the record is kept in. */
export async function insertRow<Name extends keyof Tables, T extends { readonly id: string }>(
  trx: Db,
  memberId: string,
  table: Name,
  mapping: Mapping<T, RowOf<Name>>,
  record: Partial<T> & { readonly id: string },
  more: Partial<RowOf<Name>> = {},
): Promise<void> {
  const row = { ...toRow(mapping, record as Partial<T>), ...more };
  await trx<Record<string, unknown>>(table).insert(row);
  const { id, ...noted } = row as Record<string, unknown>;
  await recordChange(trx, memberId, table, id as string, null, noted);
}

/**
 * Changes a record under its optimistic lock and notes the change.
 *
 * @param version the version that the change was made from
 * @throws NotFound; Conflict with the record as it stands when somebody else changed it first
 */
export async function updateRow<Name extends Versioned, T extends { readonly id: string }>(
  trx: Db,
  memberId: string,
  table: Name,
  mapping: Mapping<T, RowOf<Name>>,
  { version, ...record }: Partial<T> & { readonly id: string; readonly version: number },
  more: Partial<RowOf<Name>> = {},
): Promise<void> {
  const id = record.id;
  const rows = trx<Record<string, unknown>>(table);
  const before = await rows.clone().where({ id }).forUpdate().first();
  if (!before) throw new NotFound(`This ${spoken(table)}`);
  if (before.version !== version)
    throw new Conflict(readRow(mapping, before as RowOf<Name>), before.version as number);
  const { id: _, ...after } = { ...toRow(mapping, record as Partial<T>), ...more } as Record<string, unknown>;
  await rows
    .clone()
    .where({ id })
    .update({ ...after, version: version + 1 });
  const old = Object.fromEntries(Object.keys(after).map((key) => [key, before[key]]));
  await recordChange(trx, memberId, table, id, old, after);
}

type Ended = {
  [Name in keyof Tables]: RowOf<Name> extends { id: string; ended_at: Date | null } ? Name : never;
}[keyof Tables];

/** Takes a row out of use, or puts it back; it stays in the records. @throws NotFound */
export async function setEnded(
  trx: Db,
  memberId: string,
  table: Ended,
  id: string,
  isEnded: boolean,
): Promise<void> {
  const changed = await trx<Record<string, unknown>>(table)
    .where({ id })
    .update({ ended_at: isEnded ? new Date() : null });
  if (!changed) throw new NotFound(`This ${spoken(table)}`);
  await recordChange(trx, memberId, table, id, { ended: !isEnded }, { ended: isEnded });
}
