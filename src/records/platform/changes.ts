import { type Maybe, rowsOf } from '@/records/platform/joins';
import { type Db, fromJson, newId } from './db';

/** Notes in the change table who changed what, from what, to what. `before` is null for a new row. */
export async function recordChange(
  trx: Db,
  memberId: string | null,
  what: string,
  rowId: string,
  before: unknown,
  after: unknown,
): Promise<void> {
  await trx('change').insert({
    id: newId(),
    member_id: memberId,
    at: new Date(),
    what,
    row_id: rowId,
    before_json: before === null ? null : JSON.stringify(before),
    after_json: after === null ? null : JSON.stringify(after),
  });
}

/** One change of a row: who, when, from what, to what. */
export interface Change {
  readonly id: string;
  readonly at: Date;
  readonly by: string | null;
  readonly before: unknown;
  readonly after: unknown;
}

/** The changes of one row, newest first, with the names of those who made them. */
export async function changesOf(base: Db, what: string, rowId: string): Promise<Change[]> {
  const rows = await rowsOf<{ c: 'change'; m: Maybe<'member'> }>()(
    base('change as c')
      .leftJoin('member as m', 'm.id', 'c.member_id')
      .where({ 'c.what': what, 'c.row_id': rowId })
      .orderBy('c.id', 'desc'),
    'c.id',
    'c.at',
    'm.name',
    'c.before_json',
    'c.after_json',
  );
  return rows.map((row) => ({
    id: row.id,
    at: row.at,
    by: row.name,
    before: fromJson<unknown>(row.before_json),
    after: fromJson<unknown>(row.after_json),
  }));
}
