import { AGAIN_FATES } from '@/core/vocabulary';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { Refusal } from '@/records/platform/errors';
import { piecesNumbered, theOneNumbered } from '@/records/pieces/numbered';
import { lockWhile, putIn } from './firings';

/** A piece that was found in an opened kiln without having been written into its load. */
export interface JoiningPiece {
  readonly firingId: string;
  /** What is written under its foot: "SW-0412", "412", or its maker's own number. */
  readonly number: string;
  readonly shelf: number;
}

/**
 * Writes a piece that is known into the load that it came out of. One that is in it already stays as it is.
 *
 * @returns the id of the piece
 * @throws Refusal of `number` when no piece has it, when several have, or when it is in another kiln; of `state` while
 *   the kiln is not open
 */
export async function joinOpening(
  base: Db,
  memberId: string,
  { firingId, number, shelf }: JoiningPiece,
): Promise<string> {
  return inTransaction(base, async (trx) => {
    await lockWhile(trx, firingId, ['open', 'closed']);
    const { id, stage, label } = await pieceNumbered(trx, firingId, number);
    if (await trx('firing_piece').where({ firing_id: firingId, piece_id: id }).first('piece_id')) return id;
    if (stage === 'loaded')
      throw new Refusal('number', `${label} is in another firing by the records. Take it out there first.`);
    await putIn(trx, firingId, id, { shelf }, 'fired');
    await recordChange(trx, memberId, 'load', firingId, null, [{ pieceId: id, shelf }]);
    return id;
  });
}

/** The one piece with a number: first one of this firing, then one that waits for a kiln, then any. */
async function pieceNumbered(trx: Db, firingId: string, text: string) {
  const number = text.trim();
  const known = await piecesNumbered(trx, number);
  const here = await trx('firing_piece')
    .where({ firing_id: firingId })
    .whereIn(
      'piece_id',
      known.map(({ id }) => id),
    )
    .pluck<string[]>('piece_id');
  return theOneNumbered(
    number,
    [
      known.filter(({ label }) => label === number.toUpperCase()),
      known.filter(({ id }) => here.includes(id)),
      known.filter(({ stage, fate }) => stage === 'glazed' || (fate && AGAIN_FATES.includes(fate))),
      known,
    ],
    `There is no piece ${number}. Number it as one that is not on the list.`,
  );
}
