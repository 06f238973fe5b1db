import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { labelOf, lockSeries, undescribed } from '@/records/platform/numbers';

/** A piece of which there is a picture, and nobody has said yet what it is. */
export interface PhotographedPiece {
  readonly id: string;
  /** What its maker numbered it; empty for none. */
  readonly ownNumber: string;
}

/**
 * Gives a piece that was only photographed its number. What it is may be said later; until then it is on the list of
 * what is to be written up, and proves nothing. An id that is there already is the same piece again.
 *
 * @returns its number
 * @throws NotFound in a studio without a clay
 */
export async function savePhotoFirst(
  base: Db,
  memberId: string,
  { id, ownNumber }: PhotographedPiece,
): Promise<string> {
  return inTransaction(base, async (trx) => {
    const { prefix, next } = await lockSeries(trx, null);
    const known = await trx('piece').where({ id }).first('label');
    if (known) return known.label;
    const label = labelOf(prefix, next);
    await trx('piece').insert({
      ...{ id, label, number: next, own_number: ownNumber, note: '', stage: 'made' },
      ...{ member_id: memberId, made_at: new Date() },
      ...(await undescribed(trx)),
    });
    await trx('series')
      .where({ prefix })
      .update({ next: next + 1 });
    await recordChange(trx, memberId, 'piece', id, null, { label, ownNumber });
    return label;
  });
}
