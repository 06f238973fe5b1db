import type { Db } from '@/records/platform/db';
import { studioTime } from '@/core/time';
import { rowsOf } from '@/records/platform/joins';
import { looksOf, within, type Answer } from './answers';

/** Answers at most this many of each kind. */
const EACH = 4;

/** Orders, rounds and the studio's own forms whose name, or what was said with it, has all the words. */
export async function listsBy(base: Db, words: readonly string[]): Promise<Answer[]> {
  const orders = base('piece_order').whereNull('ended_at').orderBy('id', 'desc').limit(EACH);
  const rounds = base('round').orderBy('id', 'desc').limit(EACH);
  const forms = base('form').whereNull('ended_at').orderBy('name').limit(EACH);
  for (const word of words) {
    void orders.whereRaw("concat_ws(' ', name, wanted, note) like ?", [within(word)]);
    void rounds.whereILike('name', within(word));
    void forms.whereRaw("concat_ws(' ', name, note) like ?", [within(word)]);
  }
  const [ordered, tested, shaped] = await Promise.all([
    orders.select('id', 'name', 'wanted', 'count'),
    rounds.select('id', 'name'),
    forms.select('id', 'name', 'form'),
  ]);
  return [
    ...ordered.map(({ id, name, wanted, count }) => ({
      ...{ kind: 'order' as const, text: name, href: `/orders/${id}` },
      detail: `order: ${count} ${wanted}`.trim(),
    })),
    ...tested.map(({ id, name }) => ({
      ...{ kind: 'round' as const, text: name, detail: 'round', href: `/rounds/${id}` },
    })),
    ...shaped.map(({ id, name, form }) => ({
      ...{ kind: 'form' as const, text: name, detail: `form, a ${form}`, href: `/pieces/forms/${id}` },
    })),
  ];
}

/** "today", "yesterday", "5 days ago". */
const dayWord = (at: Date, now: Date) =>
  studioTime(at).toRelativeCalendar({ base: studioTime(now), unit: 'days' }) ?? '';

/** So many changes are looked through for the pieces somebody had in hand, and so many pieces are named. */
const LATELY = { changes: 400, pieces: 8 };

/** The pieces that a member wrote on last, the newest first: "the one I had in hand yesterday". */
export async function hadInHand(base: Db, memberId: string, now: Date): Promise<Answer[]> {
  const changes = await base('change')
    .where({ member_id: memberId })
    .whereIn('what', ['piece', 'coats', 'reading', 'fate', 'taken back'])
    .orderBy('id', 'desc')
    .limit(LATELY.changes)
    .select('row_id', 'what', 'at');
  const last = new Map<string, (typeof changes)[number]>();
  for (const change of changes) if (!last.has(change.row_id)) last.set(change.row_id, change);
  const ids = [...last.keys()].slice(0, LATELY.pieces);
  const rows = await rowsOf<{ p: 'piece'; b: 'body' }>()(
    base('piece as p').join('body as b', 'b.id', 'p.body_id').whereIn('p.id', ids),
    'p.id',
    'p.label',
    'p.form',
    'p.own_number',
    'p.described',
    'b.name',
  );
  return ids.flatMap((id) => {
    const row = rows.find((one) => one.id === id);
    if (!row) return [];
    const own = row.own_number ? `, own ${row.own_number}` : '';
    return {
      ...{ kind: 'piece' as const, text: row.label, href: `/pieces/${row.label}` },
      detail: `${looksOf(row).join(', ')}${own}; ${dayWord(last.get(id)!.at, now)}`,
    };
  });
}
