import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { found } from '@/records/platform/errors';
import { setOrderOf } from './orders';
import { setMaker } from './pieces';

/** What is changed on one of several pieces: each from what it was. */
export interface PieceChange {
  readonly id: string;
  readonly note?: { readonly from: string; readonly to: string } | undefined;
  readonly maker?: { readonly from: string; readonly to: string } | undefined;
  /** The order it belongs to. */
  readonly order?: { readonly from: string | null; readonly to: string | null } | undefined;
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
    for (const { id, note, maker, order } of changes) {
      const piece = found(
        await trx('piece')
          .where({ id })
          .forUpdate()
          .first('label', 'note', 'member_id', 'order_id', 'version'),
        'This piece',
      );
      if (
        (note && piece.note !== note.from) ||
        (maker && piece.member_id !== maker.from) ||
        (order && piece.order_id !== order.from)
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
    }
    return left;
  });
}
