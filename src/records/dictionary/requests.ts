import type { TestRequestRow } from '@/records/platform/tables';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { NotFound } from '@/records/platform/errors';

/** A combination that a member asked for. */
export interface TestRequest {
  readonly id: string;
  readonly memberId: string;
  readonly by: string;
  readonly baseId: string;
  readonly topId: string;
  /** "Limewash over Sleeper". */
  readonly words: string;
  readonly note: string;
  readonly at: Date;
  /** The headword that answers it, once a proof of it was read after the asking. */
  readonly headwordId: string | null;
}

/** Asks for a combination; the same id again is the same request. It counts among what is most wanted. */
export async function addRequest(
  base: Db,
  memberId: string,
  request: { readonly id: string; readonly baseId: string; readonly topId: string; readonly note: string },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (await trx('test_request').where({ id: request.id }).first('id')) return;
    const { id, baseId: base_glaze_id, topId: top_glaze_id, note } = request;
    await trx('test_request').insert({
      id,
      member_id: memberId,
      base_glaze_id,
      top_glaze_id,
      note,
      at: new Date(),
    });
    await trx('failed_lookup')
      .insert({ base_glaze_id, top_glaze_id, times: 1, at: new Date() })
      .onConflict(['base_glaze_id', 'top_glaze_id'])
      .merge({ times: trx.raw('failed_lookup.times + 1'), at: new Date() });
    await recordChange(trx, memberId, 'test_request', id, null, request);
  });
}

/** Takes a request back; only who asked may. */
export async function withdrawRequest(base: Db, memberId: string, id: string): Promise<void> {
  await inTransaction(base, async (trx) => {
    const done = await trx('test_request')
      .where({ id, member_id: memberId })
      .update({ ended_at: new Date() });
    if (!done) throw new NotFound('This request of yours');
    await recordChange(trx, memberId, 'test_request', id, null, { ended: true });
  });
}

/** Requests that were not taken back, those waiting first, the newest first; of one member when that is asked. */
export async function listRequests(base: Db, memberId: string | null = null): Promise<TestRequest[]> {
  const query = base('test_request as a')
    .join('member as m', 'm.id', 'a.member_id')
    .join('glaze as b', 'b.id', 'a.base_glaze_id')
    .join('glaze as t', 't.id', 'a.top_glaze_id')
    .whereNull('a.ended_at')
    .orderBy('a.id', 'desc')
    .limit(100);
  if (memberId) void query.where('a.member_id', memberId);
  type Joined = TestRequestRow & {
    readonly by: string;
    readonly base: string;
    readonly top: string;
    readonly answered: string | null;
  };
  const rows: Joined[] = await query.select(
    'a.*',
    'm.name as by',
    'b.name as base',
    't.name as top',
    base.raw(
      `(select h.id from headword h join entry e on e.headword_id = h.id join zone z on z.entry_id = e.id
          join reading r on r.zone_id = z.id
        where h.base_glaze_id = a.base_glaze_id and h.top_glaze_id = a.top_glaze_id and h.depth <= 2
          and z.ended_at is null and r.ended_at is null and r.stage = 'after' and r.at >= a.at
        limit 1) as answered`,
    ),
  );
  return rows
    .map((row): TestRequest => ({
      id: row.id,
      memberId: row.member_id,
      by: row.by,
      baseId: row.base_glaze_id,
      topId: row.top_glaze_id,
      words: row.base === row.top ? row.base : `${row.top} over ${row.base}`,
      note: row.note,
      at: row.at,
      headwordId: row.answered,
    }))
    .sort((one, two) => Number(one.headwordId !== null) - Number(two.headwordId !== null));
}
