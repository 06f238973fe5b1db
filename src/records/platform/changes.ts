import { type Db, newId } from './db';

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
