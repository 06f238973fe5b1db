import type { AfterWork } from '@/core/vocabulary';
import { recordChange } from '@/records/platform/changes';
import { fromJson, inTransaction, newId, type Db } from '@/records/platform/db';
import { found, Refusal } from '@/records/platform/errors';
import { firstOf, rowsOf } from '@/records/platform/joins';

/** What is said of a piece as a thing that somebody has or wants; none of it decides what it proves. */
export interface Ware {
  /** Whom it is for, or whose it is. */
  readonly owner: string;
  /** "YYYY-MM-DD"; null when nothing was promised. */
  readonly promisedBy: string | null;
  /** As it is written on the tag, with its currency. */
  readonly price: string;
  readonly isSold: boolean;
  readonly isForDisplay: boolean;
  /** What was done to it after its last firing. */
  readonly after: readonly AfterWork[];
}

/** Of a piece of which nobody has said anything. */
const NO_WARE: Ware = {
  ...{ owner: '', promisedBy: null, price: '', isSold: false, isForDisplay: false, after: [] },
};

/** Ware as it is kept. */
export function readWare(kept: unknown): Ware {
  return { ...NO_WARE, ...fromJson<Partial<Ware>>(kept) };
}

/** Says what a piece is as ware. What somebody else said meanwhile of other things stays. */
export async function saveWare(
  base: Db,
  memberId: string,
  { pieceId, said, isLiked }: { pieceId: string; said: Partial<Ware>; isLiked?: boolean | undefined },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const row = found(
      await trx('piece').where({ id: pieceId }).forUpdate().first('ware', 'is_liked'),
      'This piece',
    );
    const before = readWare(row.ware);
    const after = { ...before, ...said };
    await trx('piece')
      .where({ id: pieceId })
      .update({
        ware: JSON.stringify(after),
        ...(isLiked !== undefined && { is_liked: isLiked }),
      });
    const liked = (value: boolean) => (isLiked === undefined ? {} : { liked: value });
    await recordChange(
      trx,
      memberId,
      'piece',
      pieceId,
      { ware: before, ...liked(Boolean(row.is_liked)) },
      { ware: after, ...liked(Boolean(isLiked)) },
    );
  });
}

/** A piece of a set. */
export interface SetPiece {
  readonly id: string;
  readonly label: string;
  readonly form: string;
}

/** The other pieces of the set that a piece belongs to. */
export async function setOf(base: Db, piece: { readonly id: string; readonly setId: string | null }) {
  if (piece.setId === null) return [];
  return rowsOf<{ p: 'piece' }>()(
    base('piece as p').where({ 'p.set_id': piece.setId }).whereNot('p.id', piece.id).orderBy('p.number'),
    'p.id',
    'p.label',
    'p.form',
  );
}

/**
 * Puts a piece into one set with another: lid and jar, lamp and saucer. Sets that both belonged to become one.
 *
 * @param label of the other
 * @throws Refusal of `label` for a number that no piece has, and for the piece's own
 */
export async function joinSet(
  base: Db,
  memberId: string,
  { pieceId, label }: { readonly pieceId: string; readonly label: string },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const piece = found(
      await trx('piece').where({ id: pieceId }).forUpdate().first('id', 'set_id'),
      'This piece',
    );
    const other = await firstOf<{ p: 'piece' }>()(
      trx('piece as p').where({ 'p.label': label.trim().toUpperCase() }).forUpdate(),
      'p.id',
      'p.set_id',
    );
    if (!other) throw new Refusal('label', `There is no piece ${label}.`);
    if (other.id === pieceId) throw new Refusal('label', 'This is the piece itself.');
    const setId = other.set_id ?? piece.set_id ?? newId();
    if (other.set_id === null && piece.set_id === null)
      await trx('piece_set').insert({ id: setId, name: '' });
    const left = piece.set_id;
    await trx('piece').whereIn('id', [pieceId, other.id]).update({ set_id: setId });
    if (left !== null && left !== setId) await trx('piece').where({ set_id: left }).update({ set_id: setId });
    await recordChange(trx, memberId, 'piece', pieceId, { set: left }, { set: setId, with: other.id });
  });
}

/** Takes a piece out of its set. @throws NotFound */
export async function leaveSet(base: Db, memberId: string, pieceId: string): Promise<void> {
  await inTransaction(base, async (trx) => {
    const piece = found(await trx('piece').where({ id: pieceId }).forUpdate().first('set_id'), 'This piece');
    await trx('piece').where({ id: pieceId }).update({ set_id: null });
    await recordChange(trx, memberId, 'piece', pieceId, { set: piece.set_id }, { set: null });
  });
}
