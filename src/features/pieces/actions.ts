'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { db, Refusal } from '@/records/platform';
import { correctPiece, savePieces, piecesById } from '@/records/pieces';
import { correctedPieceSchema, newPieceSchema } from './schema';
import { recordPiece } from '@/records/openings';
import { pieceReadingSchema } from '@/features/shared/readingSchema';

/** Saves a piece and its twins; gives their numbers back. */
export const saveNewPieces = action('student', newPieceSchema, (member, { ids, draft, modelId }) =>
  savePieces(db(), member.id, draft, ids, { modelId }),
);

/** Corrects a piece. A student may correct own pieces only. */
export const saveCorrection = action(
  'student',
  correctedPieceSchema,
  async (member, { id, version, draft }) => {
    const [piece] = await piecesById(db(), [id]);
    if (member.role === 'student' && piece?.memberId !== member.id)
      throw new Refusal('', 'A student may change own pieces only.');
    await correctPiece(db(), member.id, id, version, draft);
    refresh();
    return null;
  },
);

/** Records what a piece showed after its opening; the earlier readings stay to be seen. */
export const saveLateLook = action('student', pieceReadingSchema, async (member, said) => {
  await recordPiece(db(), member.id, said);
  refresh();
  return null;
});
