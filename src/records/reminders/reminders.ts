import type { ReminderAbout } from '@/core/vocabulary';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { found } from '@/records/platform/errors';
import { rowsOf } from '@/records/platform/joins';

/** What a note for the next time is about. */
export interface About {
  readonly about: ReminderAbout;
  /** The id of it; of a form of the library its name. */
  readonly aboutId: string;
}

/** A note that comes up by itself when what it is about is next used, until it is ticked off. */
export interface Reminder extends About {
  readonly id: string;
  readonly words: string;
  /** The name of what it is about. */
  readonly thing: string;
  readonly by: string;
  readonly at: Date;
  readonly doneAt: Date | null;
}

/** Writes a note for the next time; an id that is there already is the same submit again. */
export async function addReminder(
  base: Db,
  memberId: string,
  { id, about, aboutId, words }: Pick<Reminder, 'id' | 'about' | 'aboutId' | 'words'>,
  at = new Date(),
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (await trx('reminder').where({ id }).first('id')) return;
    await trx('reminder').insert({ id, about, about_id: aboutId, words, member_id: memberId, at });
    await recordChange(trx, memberId, 'reminder', id, null, { about, about_id: aboutId, words });
  });
}

/** Ticks a note off, or takes the tick back. @throws NotFound */
export async function setReminderDone(
  base: Db,
  memberId: string,
  id: string,
  isDone: boolean,
  at = new Date(),
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const row = found(await trx('reminder').where({ id }).forUpdate().first('done_at'), 'This note');
    if ((row.done_at !== null) === isDone) return;
    await trx('reminder')
      .where({ id })
      .update({ done_at: isDone ? at : null });
    await recordChange(trx, memberId, 'reminder', id, { done: !isDone }, { done: isDone });
  });
}

/** Notes that are not ticked off, the oldest first: about any of some things, or all of them. */
export async function remindersOf(base: Db, things: readonly About[] | 'all'): Promise<Reminder[]> {
  if (things.length === 0) return [];
  const rows = await rowsOf<{ r: 'reminder'; m: 'member' }, { thing: string }>()(
    base('reminder as r')
      .join('member as m', 'm.id', 'r.member_id')
      .leftJoin('glaze as g', 'g.id', 'r.about_id')
      .leftJoin('body as b', 'b.id', 'r.about_id')
      .leftJoin('kiln as k', 'k.id', 'r.about_id')
      .leftJoin('form as f', 'f.id', 'r.about_id')
      .leftJoin('batch as t', 't.id', 'r.about_id')
      .leftJoin('glaze_version as tv', 'tv.id', 't.glaze_version_id')
      .leftJoin('glaze as tg', 'tg.id', 'tv.glaze_id')
      .leftJoin('firing as fi', 'fi.id', 'r.about_id')
      .leftJoin('kiln as fk', 'fk.id', 'fi.kiln_id')
      .whereNull('r.done_at')
      .where((of) => {
        if (things !== 'all')
          for (const { about, aboutId } of things)
            void of.orWhere({ 'r.about': about, 'r.about_id': aboutId });
      })
      .orderBy('r.at')
      .select(
        base.raw(
          "coalesce(g.name, b.name, k.name, f.name, concat(tg.name, ' ', t.code), concat(fk.name, ' ', fi.number), r.about_id) as thing",
        ),
      ),
    'r.*',
    'm.name as by',
  );
  return rows.map(({ about_id, done_at, id, about, words, thing, by, at }) => ({
    ...{ id, about, aboutId: about_id, words, thing, by, at, doneAt: done_at },
  }));
}
