import type { Db } from './db';
import { newId } from './db';

/** Notes in the change table who changed what, from what, to what. `before` is null for a new row. */
export async function noteChange(
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

/** The changes of one row, newest first, with the names of those who made them. */
export async function changesOf(base: Db, what: string, rowId: string) {
  return base('change as c')
    .leftJoin('member as m', 'm.id', 'c.member_id')
    .where({ 'c.what': what, 'c.row_id': rowId })
    .orderBy('c.at', 'desc')
    .select<
      { id: string; at: Date; name: string | null; before_json: string | null; after_json: string | null }[]
    >('c.id', 'c.at', 'm.name', 'c.before_json', 'c.after_json');
}
