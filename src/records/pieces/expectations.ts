import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { found } from '@/records/platform/errors';
import { rowsOf } from '@/records/platform/joins';

/** What a maker expects of a piece's next firing. */
export interface Expectation {
  readonly id: string;
  readonly pieceId: string;
  readonly words: string;
}

/**
 * Says what is expected of the next firing of a piece, in place of what was said of it before; no words take it back.
 *
 * @throws NotFound
 */
export async function saveExpectation(
  base: Db,
  memberId: string,
  { id, pieceId, words }: Expectation,
  at = new Date(),
): Promise<void> {
  await inTransaction(base, async (trx) => {
    found(await trx('piece').where({ id: pieceId }).forUpdate().first('id'), 'This piece');
    const before = await trx('expectation').where({ piece_id: pieceId, firing_id: null }).first();
    if ((before?.words ?? '') === words) return;
    if (before) await trx('expectation').where({ id: before.id }).delete();
    if (words) await trx('expectation').insert({ id, piece_id: pieceId, words, member_id: memberId, at });
    const said = (one: string | undefined) => ({ expectation: one ?? '' });
    await recordChange(trx, memberId, 'piece', pieceId, said(before?.words), said(words));
  });
}

/** What is expected of the next firing of each piece, in words. */
export async function expectationsNow(base: Db, pieceIds: readonly string[]): Promise<Map<string, string>> {
  const rows = await base('expectation').whereIn('piece_id', pieceIds).whereNull('firing_id').select('*');
  return new Map(rows.map(({ piece_id, words }) => [piece_id, words]));
}

/** What is said once the kiln is open is said of the firing after. */
const SAID_BEFORE = `(x.firing_id = f.id or (x.firing_id is null and x.at <= coalesce(f.opened_at, now(3))))`;

/** What was expected of a firing of each piece, in words. */
export async function expectationsAt(
  base: Db,
  firingId: string,
  pieceIds: readonly string[],
): Promise<Map<string, string>> {
  const rows = await rowsOf<{ x: 'expectation' }>()(
    base('expectation as x')
      .join('firing as f', (join) => void join.onVal('f.id', '=', firingId))
      .whereIn('x.piece_id', pieceIds)
      .whereRaw(SAID_BEFORE)
      // What was kept with this firing outweighs what waits.
      .orderByRaw('x.firing_id is not null'),
    'x.piece_id',
    'x.words',
  );
  return new Map(rows.map(({ piece_id, words }) => [piece_id, words]));
}

/** Keeps what was expected of a piece with the firing after which it was read. */
export async function keepExpectation(trx: Db, pieceId: string, firingId: string): Promise<void> {
  await trx('expectation as x')
    .join('firing as f', (join) => void join.onVal('f.id', '=', firingId))
    .where({ 'x.piece_id': pieceId })
    .whereRaw(SAID_BEFORE)
    .update({ 'x.firing_id': firingId });
}

/** Takes that back, unless something is expected of the next firing by now. */
export async function takeExpectationBack(trx: Db, pieceId: string, firingId: string): Promise<void> {
  if (await trx('expectation').where({ piece_id: pieceId, firing_id: null }).first('id')) return;
  await trx('expectation').where({ piece_id: pieceId, firing_id: firingId }).update({ firing_id: null });
}
