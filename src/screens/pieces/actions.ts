'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { db } from '@/records/db';
import { Refusal } from '@/records/faults';
import { correctPiece, savePieces } from '@/records/pieces';
import { piecesById } from '@/records/piecePages';
import { correctedPieceSchema, newPieceSchema } from './schema';

/** Saves a piece and its twins; gives their numbers back. */
export async function saveNewPieces(input: unknown): Promise<Outcome<{ id: string; label: string }[]>> {
  return withMember('student', newPieceSchema, input, (member, { ids, draft, modelId }) =>
    savePieces(db(), member.id, draft, ids, new Date(), modelId),
  );
}

/** Corrects a piece. A student may correct own pieces only. */
export async function saveCorrection(input: unknown): Promise<Outcome<null>> {
  return withMember('student', correctedPieceSchema, input, async (member, { id, version, draft }) => {
    const [piece] = await piecesById(db(), [id]);
    if (member.role === 'student' && piece?.memberId !== member.id)
      throw new Refusal('', 'A student may change own pieces only.');
    await correctPiece(db(), member.id, id, version, draft);
    refresh();
    return null;
  });
}
