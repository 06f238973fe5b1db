import { capital } from '@/core/units';
import { type Maybe, rowsOf } from '@/records/platform/joins';
import { describe, type Agreement } from '@/core/evidence';
import { heatName, type Atmosphere, type Heat } from '@/core/vocabulary';
import { recordChange } from '@/records/platform/changes';
import { fromJson, inTransaction, type Db } from '@/records/platform/db';
import { NotFound } from '@/records/platform/errors';

/** What is asked for: one glaze alone or one over another, and as much of the rest as somebody said. */
export interface RequestDraft {
  readonly id: string;
  readonly baseId: string;
  readonly topId: string;
  /** Each null for any. */
  readonly groundId: string | null;
  readonly cone: Heat | null;
  readonly atmosphere: Atmosphere | null;
  /** Applications of what lies below, and of what lies over it. */
  readonly baseTimes: number | null;
  readonly topTimes: number | null;
  readonly note: string;
}

/** A combination that a member asked for. */
export interface TestRequest extends RequestDraft {
  readonly memberId: string;
  readonly by: string;
  /** "Limewash over Sleeper". */
  readonly words: string;
  /** What else was asked, "on Cutting Red, cone 6 oxidation"; empty for nothing. */
  readonly facts: string;
  /** The clay of its ground, to plan it on; null for any. */
  readonly bodyId: string | null;
  readonly at: Date;
  /** The headword that answers it, once a proof of just that was read after the asking; null until then. */
  readonly headwordId: string | null;
  /** What came of it, in words; empty until then. */
  readonly result: string;
}

/** Asks for a combination; the same id again is the same request. It counts among what is most wanted. */
export async function addRequest(base: Db, memberId: string, request: RequestDraft): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (await trx('test_request').where({ id: request.id }).first('id')) return;
    const { id, baseId: base_glaze_id, topId: top_glaze_id, cone, atmosphere, note } = request;
    const at = new Date();
    await trx('test_request').insert({
      ...{ id, member_id: memberId, base_glaze_id, top_glaze_id, cone, atmosphere, note, at },
      ground_id: request.groundId,
      base_times: request.baseTimes,
      top_times: request.topTimes,
    });
    await trx('failed_lookup')
      .insert({ base_glaze_id, top_glaze_id, times: 1, at })
      .onConflict(['base_glaze_id', 'top_glaze_id'])
      .merge({ times: trx.raw('failed_lookup.times + 1'), at });
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

/** The entry that answers a request: of just what was asked, with a proof that counts and was read after the asking. */
const ANSWER = `(select e.id from headword h join entry e on e.headword_id = h.id join zone z on z.entry_id = e.id
    join reading r on r.zone_id = z.id
  where h.base_glaze_id = a.base_glaze_id and h.top_glaze_id = a.top_glaze_id
    and h.depth = if(a.base_glaze_id = a.top_glaze_id, 1, 2) and e.proofs > 0
    and (a.ground_id is null or e.ground_id = a.ground_id) and (a.cone is null or e.cone = a.cone)
    and (a.atmosphere is null or e.atmosphere = a.atmosphere)
    and (a.base_times is null or e.base_times = a.base_times)
    and (a.top_times is null or e.top_times = a.top_times)
    and z.ended_at is null and r.ended_at is null and r.stage = 'after' and r.at >= a.at
  order by e.proofs desc limit 1)`;

/** Requests that were not taken back, those waiting first, the newest first; of one member when that is asked. */
export async function listRequests(base: Db, memberId: string | null = null): Promise<TestRequest[]> {
  const query = base('test_request as a')
    .join('member as m', 'm.id', 'a.member_id')
    .join('glaze as b', 'b.id', 'a.base_glaze_id')
    .join('glaze as t', 't.id', 'a.top_glaze_id')
    .leftJoin('ground as g', 'g.id', 'a.ground_id')
    .joinRaw(`left join entry as e on e.id = ${ANSWER}`)
    .whereNull('a.ended_at')
    .orderBy('a.id', 'desc')
    .limit(100);
  if (memberId) void query.where('a.member_id', memberId);
  const rows = await rowsOf<{
    a: 'test_request';
    m: 'member';
    b: 'glaze';
    t: 'glaze';
    g: Maybe<'ground'>;
    e: Maybe<'entry'>;
  }>()(
    query,
    'a.*',
    'm.name as by',
    'b.name as baseName',
    't.name as topName',
    'g.name as ground',
    'g.body_id as bodyId',
    'e.headword_id as headwordId',
    'e.summary',
    'e.colour',
  );
  return rows
    .map((row): TestRequest => ({
      id: row.id,
      memberId: row.member_id,
      by: row.by,
      baseId: row.base_glaze_id,
      topId: row.top_glaze_id,
      groundId: row.ground_id,
      cone: row.cone,
      atmosphere: row.atmosphere,
      baseTimes: row.base_times,
      topTimes: row.top_times,
      words: row.base_glaze_id === row.top_glaze_id ? row.baseName : `${row.topName} over ${row.baseName}`,
      facts: factsOf(row),
      bodyId: row.bodyId,
      note: row.note,
      at: row.at,
      headwordId: row.headwordId,
      result: row.summary === null ? '' : resultOf(fromJson<Agreement>(row.summary), row.colour),
    }))
    .sort((one, two) => Number(one.headwordId !== null) - Number(two.headwordId !== null));
}

function factsOf(row: {
  readonly ground: string | null;
  readonly cone: string | null;
  readonly atmosphere: string | null;
  readonly base_times: number | null;
  readonly top_times: number | null;
}): string {
  const fired = [row.cone && heatName(row.cone), row.atmosphere].filter(Boolean).join(' ');
  const coats = [row.base_times && `${row.base_times}× below`, row.top_times && `${row.top_times}× over it`];
  return [row.ground && `on ${row.ground}`, fired, ...coats].filter(Boolean).join(', ');
}

function resultOf(summary: Agreement, colour: string | null): string {
  const { look, defects, proved } = describe(summary, colour);
  return `${look} Defects: ${defects}. ${capital(proved)}.`;
}
