import { inTransaction, type Db } from '@/records/platform/db';
import { Refusal } from '@/records/platform/errors';
import { advanceFiring, loadPieces, saveFiring, type FiringDraft } from './firings';

/**
 * Writes down a firing that is over, with what was in it, in one go: it stands open to be read. Of its times only the
 * day is known, so none is kept but that. A firing that is there already is the same submit again.
 *
 * @throws Refusal of a day that has not come yet; of pieces that were fired after that day
 */
export async function savePastFiring(
  base: Db,
  memberId: string,
  { firing, pieceIds, today }: { firing: FiringDraft; pieceIds: readonly string[]; today: string },
): Promise<void> {
  if (firing.plannedOn > today) throw new Refusal('plannedOn', 'This day has not come yet: plan the firing.');
  await inTransaction(base, async (trx) => {
    if (await trx('firing').where({ id: firing.id }).first('id')) return;
    const later = await trx('firing_piece as fp')
      .join('firing as f', 'f.id', 'fp.firing_id')
      .join('piece as p', 'p.id', 'fp.piece_id')
      .whereIn('fp.piece_id', pieceIds)
      .where('f.planned_on', '>', firing.plannedOn)
      .orderBy('p.number')
      .distinct('p.label', 'p.number')
      .limit(12);
    if (later.length > 0)
      throw new Refusal(
        'numbers',
        `Fired after that day already: ${later.map(({ label }: { label: string }) => label).join(', ')}.`,
      );
    await saveFiring(trx, memberId, firing, null);
    await loadPieces(
      trx,
      memberId,
      firing.id,
      pieceIds.map((pieceId) => ({ pieceId, shelf: 1 })),
    );
    await advanceFiring(trx, memberId, firing.id, 'open', { at: null });
  });
}
