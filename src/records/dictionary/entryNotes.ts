import { type Maybe, rowsOf } from '@/records/platform/joins';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { Conflict, NotFound, found } from '@/records/platform/errors';

/** What a member says is wrong with an entry, until somebody has settled it. */
export interface Correction {
  readonly id: string;
  readonly entryId: string;
  readonly text: string;
  readonly by: string;
  readonly at: Date;
  readonly settledBy: string | null;
  readonly settledAt: Date | null;
}

/**
 * Writes the teacher's note of an entry.
 *
 * @throws Conflict when somebody else wrote it since
 */
export async function saveTeacherNote(
  base: Db,
  memberId: string,
  { entryId, text, version }: { readonly entryId: string; readonly text: string; readonly version: number },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const before = await trx('entry')
      .where({ id: entryId })
      .forUpdate()
      .first('teacher_note', 'note_version');
    if (!before) throw new NotFound('This entry');
    if (before.note_version !== version)
      throw new Conflict({ note: before.teacher_note, version: before.note_version }, before.note_version);
    await trx('entry')
      .where({ id: entryId })
      .update({ teacher_note: text, note_version: version + 1 });
    await recordChange(trx, memberId, 'entry', entryId, { note: before.teacher_note }, { note: text });
  });
}

/** Says what is wrong with an entry; the same id again is the same correction. */
export async function addCorrection(
  base: Db,
  memberId: string,
  { id, entryId, text }: { readonly id: string; readonly entryId: string; readonly text: string },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (await trx('correction').where({ id }).first('id')) return;
    if (!(await trx('entry').where({ id: entryId }).first('id'))) throw new NotFound('This entry');
    await trx('correction').insert({ id, entry_id: entryId, member_id: memberId, text, at: new Date() });
    await recordChange(trx, memberId, 'correction', id, null, { entryId, text });
  });
}

/** Settles a correction: it was made, or none was needed. */
export async function settleCorrection(base: Db, memberId: string, id: string): Promise<void> {
  await inTransaction(base, async (trx) => {
    const before = await trx('correction').where({ id }).forUpdate().first('settled_at');
    if (found(before, 'This correction').settled_at) return;
    await trx('correction').where({ id }).update({ settled_by: memberId, settled_at: new Date() });
    await recordChange(trx, memberId, 'correction', id, null, { settled: true });
  });
}

/** Corrections of entries, open ones first, the newest first. */
export async function correctionsOf(base: Db, entryIds: readonly string[]): Promise<Correction[]> {
  const rows = await rowsOf<{ c: 'correction'; s: Maybe<'member'>; m: 'member' }>()(
    base('correction as c')
      .join('member as m', 'm.id', 'c.member_id')
      .leftJoin('member as s', 's.id', 'c.settled_by')
      .whereIn('c.entry_id', entryIds)
      .orderByRaw('c.settled_at is not null, c.id desc')
      .limit(50),
    'c.*',
    'm.name as by',
    's.name as settler',
  );
  return rows.map((row) => ({
    id: row.id,
    entryId: row.entry_id,
    text: row.text,
    by: row.by,
    at: row.at,
    settledBy: row.settler,
    settledAt: row.settled_at,
  }));
}

/**
 * Takes the teacher's notes and the corrections of entries along to where their zones went, when none of their zones
 * is left.
 */
export async function moveEntryNotes(
  trx: Db,
  moved: readonly (readonly [before: string | null, now: string | null])[],
): Promise<void> {
  const goals = new Map(
    moved.flatMap(([before, now]) => (before && now && before !== now ? [[before, now]] : [])),
  );
  for (const [before, now] of goals) {
    if (await trx('zone').where({ entry_id: before, ended_at: null }).first('id')) continue;
    await trx('correction').where({ entry_id: before }).update({ entry_id: now });
    const rows = await trx('entry').whereIn('id', [before, now]).select('id', 'teacher_note');
    const noteOf = (id: string) => rows.find((row) => row.id === id)?.teacher_note ?? '';
    if (!noteOf(before)) continue;
    const text = [noteOf(now), noteOf(before)].filter(Boolean).join('\n');
    await trx('entry').where({ id: now }).update({ teacher_note: text });
    await trx('entry').where({ id: before }).update({ teacher_note: '' });
  }
}
