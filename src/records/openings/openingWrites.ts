import { inTransaction, type Db } from '@/records/platform/db';
import { firingById } from '@/records/firings/firings';
import { joinOpening, type JoiningPiece } from '@/records/firings/joining';
import { addUnloggedPiece, type UnloggedPiece } from '@/records/platform/numbers';
import { openingPieces, type OpeningPiece } from './openings';
import { setPhoto } from '@/records/pieces/photos';
import type { PhotoSettings } from '@/records/pieces/photoSettings';
import { saveCount, type ZoneCount } from '@/records/pieces/zoneCounts';
import { recordPiece, undoReading, type PieceReading, type UndoneReading } from './readings';
import { addRepair, endRepair, type ShelfRepair } from './shelfRepairs';
import type { Store } from '@/records/platform/store';
import { createZones } from '@/records/pieces/zones';

/** One thing that was done at an opening, as a device keeps it until the server has it. */
export type OpeningWrite =
  | { readonly kind: 'piece'; readonly reading: PieceReading }
  | { readonly kind: 'undo'; readonly undone: UndoneReading }
  | { readonly kind: 'unlogged'; readonly piece: UnloggedPiece }
  | { readonly kind: 'join'; readonly join: JoiningPiece }
  | { readonly kind: 'repair'; readonly repair: Omit<ShelfRepair, 'done'> }
  | { readonly kind: 'repaired'; readonly repairId: string; readonly done: boolean }
  | { readonly kind: 'frame'; readonly photo: PhotoSettings & { readonly id: string } }
  | { readonly kind: 'count'; readonly count: ZoneCount };

/**
 * Does a write of an opening exactly once: its id is kept in the same transaction, so that a device that
 * never heard the answer may send it again.
 *
 * @returns the piece as it stands afterwards, or null when the write was about no piece
 * @throws Conflict, Refusal or NotFound of the work itself; then nothing was done
 */
export async function writeOpening(
  base: Db,
  store: Store,
  memberId: string,
  { id, firingId, write }: { id: string; firingId: string; write: OpeningWrite },
): Promise<OpeningPiece | null> {
  const pieceId = await inTransaction(base, async (trx) => {
    // What joined is found again by its number, and is in the load already.
    if (write.kind !== 'join' && (await trx('write_done').where({ id }).forUpdate().first('id')))
      return pieceOf(write);
    const touched = await apply(trx, store, memberId, write);
    await trx('write_done').insert({ id, at: new Date() }).onConflict('id').ignore();
    return touched ?? pieceOf(write);
  });
  if (!pieceId) return null;
  return (await openingPieces(base, await firingById(base, firingId), pieceId))[0] ?? null;
}

/** Does it; gives the piece that only the records know it is about. */
async function apply(trx: Db, store: Store, memberId: string, write: OpeningWrite): Promise<string | void> {
  switch (write.kind) {
    case 'piece':
      return recordPiece(trx, memberId, write.reading);
    case 'undo':
      // What is taken back before it has come is not done when it comes.
      if (write.undone.writeId)
        await trx('write_done')
          .insert({ id: write.undone.writeId, at: new Date() })
          .onConflict('id')
          .ignore();
      return undoReading(trx, memberId, write.undone);
    case 'unlogged':
      await addUnloggedPiece(trx, memberId, write.piece);
      return createZones(trx, write.piece.id, write.piece.firingId);
    case 'join':
      return joinOpening(trx, memberId, write.join);
    case 'repair':
      return addRepair(trx, memberId, write.repair);
    case 'repaired':
      return endRepair(trx, memberId, write.repairId, write.done);
    case 'frame':
      return setPhoto(trx, store, memberId, write.photo);
    case 'count':
      return saveCount(trx, memberId, write.count);
  }
}

function pieceOf(write: OpeningWrite): string | null {
  if (write.kind === 'piece') return write.reading.pieceId;
  if (write.kind === 'undo') return write.undone.pieceId;
  return write.kind === 'unlogged' ? write.piece.id : null;
}
