import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { found } from '@/records/platform/errors';
import { setOrderOf } from './orders';
import { correctPiece, setMaker, type PieceDraft } from './pieces';

/** What is changed on one of several pieces: each from what it was. */
export interface PieceChange {
  readonly id: string;
  readonly note?: { readonly from: string; readonly to: string } | undefined;
  readonly maker?: { readonly from: string; readonly to: string } | undefined;
  /** The order it belongs to. */
  readonly order?: { readonly from: string | null; readonly to: string | null } | undefined;
  /** The group it is for. */
  readonly group?: { readonly from: string | null; readonly to: string | null } | undefined;
  /** The set it belongs to; one that is not there yet is begun. */
  readonly set?: { readonly from: string | null; readonly to: string | null } | undefined;
}

/**
 * Changes several pieces in one act. What somebody else changed meanwhile is left as it is.
 *
 * @returns numbers of the pieces that are otherwise by now, and were left
 * @throws NotFound of a piece or a maker
 */
export async function changeMany(
  base: Db,
  memberId: string,
  changes: readonly PieceChange[],
): Promise<string[]> {
  return inTransaction(base, async (trx) => {
    const left: string[] = [];
    for (const { id, note, maker, order, group, set } of changes) {
      const piece = found(
        await trx('piece')
          .where({ id })
          .forUpdate()
          .first('label', 'note', 'member_id', 'order_id', 'group_id', 'set_id', 'version'),
        'This piece',
      );
      if (
        (note && piece.note !== note.from) ||
        (maker && piece.member_id !== maker.from) ||
        (order && piece.order_id !== order.from) ||
        (group && piece.group_id !== group.from) ||
        (set && piece.set_id !== set.from)
      ) {
        left.push(piece.label);
        continue;
      }
      if (note) {
        await trx('piece')
          .where({ id })
          .update({ note: note.to, version: piece.version + 1 });
        await recordChange(trx, memberId, 'piece', id, { note: note.from }, { note: note.to });
      }
      if (maker) await setMaker(trx, memberId, { pieceId: id, makerId: maker.to });
      if (order) await setOrderOf(trx, memberId, id, order.to);
      if (group) await putIntoGroup(trx, memberId, id, group);
      if (set) await putIntoSet(trx, memberId, id, set);
    }
    return left;
  });
}

async function putIntoGroup(
  trx: Db,
  memberId: string,
  id: string,
  { from, to }: NonNullable<PieceChange['group']>,
): Promise<void> {
  if (to !== null) found(await trx('member_group').where({ id: to }).first('id'), 'This group');
  await trx('piece').where({ id }).update({ group_id: to });
  await recordChange(trx, memberId, 'piece', id, { group: from }, { group: to });
}

async function putIntoSet(
  trx: Db,
  memberId: string,
  id: string,
  { from, to }: NonNullable<PieceChange['set']>,
): Promise<void> {
  if (to !== null && !(await trx('piece_set').where({ id: to }).first('id')))
    await trx('piece_set').insert({ id: to, name: '' });
  await trx('piece').where({ id }).update({ set_id: to });
  await recordChange(trx, memberId, 'piece', id, { set: from }, { set: to });
}

/** A piece with what it is to be, from a version of it. */
export interface Correction {
  readonly id: string;
  readonly version: number;
  readonly draft: PieceDraft;
}

/**
 * Corrects several pieces in one act. Left as they are: those that somebody changed meanwhile, and those of which
 * somebody has still to say more, since a correction would say that it was done.
 *
 * @returns numbers of the pieces that were left
 * @throws NotFound of a piece
 */
export async function correctMany(
  base: Db,
  memberId: string,
  corrections: readonly Correction[],
): Promise<string[]> {
  return inTransaction(base, async (trx) => {
    const left: string[] = [];
    for (const { id, version, draft } of corrections) {
      const piece = found(
        await trx('piece').where({ id }).forUpdate().first('label', 'version', 'described', 'check_lengths'),
        'This piece',
      );
      if (piece.version === version && piece.described && !piece.check_lengths)
        await correctPiece(trx, memberId, id, version, draft);
      else left.push(piece.label);
    }
    return left;
  });
}
