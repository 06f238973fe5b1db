import type { Fate } from '@/core/vocabulary';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, newId, type Db } from '@/records/platform/db';
import { found } from '@/records/platform/errors';

/** What is decided of a piece after a firing. */
export interface DecidedFate {
  readonly pieceId: string;
  readonly firingId: string | null;
  readonly fate: Fate;
  /** Why it goes into a kiln again, beside the defects that were read. */
  readonly reasons: readonly string[];
}

/** Decides what becomes of a piece. The same once more, without a reason, is passed over. */
export async function setFate(
  trx: Db,
  memberId: string,
  { pieceId, firingId, fate, reasons }: DecidedFate,
  at: Date,
): Promise<void> {
  const before = found(await trx('piece').where({ id: pieceId }).first('fate'), 'This piece');
  if (before.fate === fate && reasons.length === 0) return;
  await trx('fate').insert({
    ...{ id: newId(), piece_id: pieceId, firing_id: firingId, fate, member_id: memberId, at },
    reasons: JSON.stringify(reasons),
  });
  await trx('piece').where({ id: pieceId }).update({ fate });
  await recordChange(trx, memberId, 'fate', pieceId, before, {
    fate,
    ...(reasons.length > 0 && { reasons }),
  });
}

/** Takes a fate away that was said after a firing, unless it is the one that stands again. */
export async function takeFateBack(
  trx: Db,
  pieceId: string,
  firingId: string,
  fate: Fate | null,
): Promise<void> {
  const last = await trx('fate')
    .where({ piece_id: pieceId, firing_id: firingId })
    .orderBy('at', 'desc')
    .first('id', 'fate');
  if (last && last.fate !== fate) await trx('fate').where({ id: last.id }).delete();
}

/** One plan for several pieces. */
export interface PlanForMany {
  /** Each from the fate that it had. */
  readonly pieces: readonly { readonly id: string; readonly from: Fate | null; readonly to: Fate | null }[];
  readonly reasons: readonly string[];
  /** Whether this takes back what was decided last. */
  readonly isBack: boolean;
}

/**
 * Decides one thing of several pieces that were read, or takes it back. What somebody else decided meanwhile stands.
 *
 * @returns numbers of the pieces that were left: decided otherwise by now, or not read
 * @throws NotFound of a piece
 */
export async function decideForMany(
  base: Db,
  memberId: string,
  { pieces, reasons, isBack }: PlanForMany,
  at = new Date(),
): Promise<string[]> {
  return inTransaction(base, async (trx) => {
    const left: string[] = [];
    for (const { id, from, to } of pieces) {
      const piece = found(
        await trx('piece').where({ id }).forUpdate().first('label', 'fate', 'stage'),
        'This piece',
      );
      const last = await trx('fate').where({ piece_id: id }).orderBy('at', 'desc').first('id', 'firing_id');
      if (piece.fate !== from || piece.stage !== 'read') left.push(piece.label);
      else if (isBack) {
        if (last) await trx('fate').where({ id: last.id }).delete();
        await trx('piece').where({ id }).update({ fate: to });
        await recordChange(trx, memberId, 'fate', id, { fate: from }, { fate: to });
      } else if (to) {
        const firing = await trx('firing_piece')
          .where({ piece_id: id, state: 'read' })
          .orderBy('at', 'desc')
          .first('firing_id');
        const firingId = firing?.firing_id ?? null;
        await setFate(trx, memberId, { pieceId: id, firingId, fate: to, reasons }, at);
      }
    }
    return left;
  });
}
