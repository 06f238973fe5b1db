import type { Knex } from 'knex';
import type { Db } from '@/records/platform/db';
import { listCases } from '@/records/clinic/cases';
import { listFirings } from '@/records/firings/firings';
import { listKilns } from '@/records/firings/kilns';
import { logOf } from '@/records/firings/live';
import { piecesById } from '@/records/pieces/piecePages';
import { AGAIN_FATES, ROUND_STEPS } from '@/core/vocabulary';
import { listRounds, type RoundSummary } from './roundPages';

/**
 * What is waiting in the studio, with the first few pieces of each kind of waiting.
 *
 * @param makerId whose pieces are to be written up; null for everybody's
 */
export async function todayIn(base: Db, now: Date, makerId: string | null = null) {
  const glazed = base('piece').where({ stage: 'glazed' });
  const refires = base('piece').whereIn('fate', AGAIN_FATES).where({ stage: 'read' });
  const unread = base('piece').where({ stage: 'fired' });
  const undescribed = base('piece').where({ described: 0, ...(makerId !== null && { member_id: makerId }) });
  const [inKilns, waiting, rounds, cases, weak, job] = await Promise.all([
    kilnsIn(base, now),
    Promise.all([glazed, refires, unread, undescribed].map((query) => firstOf(base, query))),
    listRounds(base),
    listCases(base, { open: true }),
    weakEntries(base),
    base('job').whereRaw('done < total').first('name', 'done', 'total'),
  ]);
  return {
    ...inKilns,
    glazed: waiting[0]!,
    refires: waiting[1]!,
    unread: waiting[2]!,
    toWriteUp: waiting[3]!,
    rounds: rounds.filter(underWay).slice(0, 4),
    cases,
    weak,
    job: job ?? null,
  };
}

/** How many pieces a question finds, and the first few. */
async function firstOf(base: Db, query: Knex.QueryBuilder) {
  const [counted, ids] = await Promise.all([
    query.clone().count({ n: '*' }).first<{ n: number }>(),
    query.clone().orderBy('number').limit(12).select<{ id: string }[]>('id'),
  ]);
  return {
    count: Number(counted.n),
    pieces: await piecesById(
      base,
      ids.map(({ id }) => id),
    ),
  };
}

/** The kilns with what is in them, how hot that is, and what came out last. */
async function kilnsIn(base: Db, now: Date) {
  const [firings, kilns] = await Promise.all([listFirings(base, { limit: 40 }), listKilns(base)]);
  const live = firings.filter((firing) => firing.state !== 'closed');
  const hot = live.filter(({ state }) => state === 'firing' || state === 'cooling');
  const logs = await Promise.all(
    hot.map((firing) =>
      logOf(
        base,
        firing,
        kilns.find(({ id }) => id === firing.kilnId)!,
        now,
      ),
    ),
  );
  return {
    kilns,
    heat: new Map(hot.map(({ id }, i) => [id, logs[i]!])),
    firings: live,
    lastClosed: firings.filter((firing) => firing.state === 'closed'),
  };
}

/** Whether some piece of a round is still to be read. */
function underWay({ steps }: RoundSummary): boolean {
  return ROUND_STEPS.some((step) => step !== 'read' && steps[step]);
}

/** Entries that cannot be trusted yet: twins that disagree first, then those with a single proof and a plain defect. */
async function weakEntries(base: Db) {
  return base('entry as e')
    .join('headword as h', 'h.id', 'e.headword_id')
    .join('ground as g', 'g.id', 'e.ground_id')
    .where('e.proofs', '>', 0)
    .whereRaw('(e.agreeing < e.proofs or (e.proofs = 1 and e.worst_severity >= 2))')
    .whereNotNull('h.top_glaze_id')
    .orderByRaw('e.proofs - e.agreeing desc, e.worst_severity desc, e.first_at desc')
    .limit(6)
    .select<
      {
        id: string;
        headword_id: string;
        text: string;
        ground: string;
        cone: string;
        proofs: number;
        agreeing: number;
        worst_defect: string | null;
        swatch_hash: string | null;
      }[]
    >(
      'e.id',
      'e.headword_id',
      'h.text',
      'g.name as ground',
      'e.cone',
      'e.proofs',
      'e.agreeing',
      'e.worst_defect',
      'e.swatch_hash',
    );
}

/** Notes how far a long piece of background work has come; `done` = `total` ends it. */
export async function noteJob(base: Db, name: string, done: number, total: number): Promise<void> {
  await base('job').insert({ name, done, total, at: new Date() }).onConflict('name').merge();
}
