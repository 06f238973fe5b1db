'use server';
import { withMember, type Outcome } from '@/door';
import { db } from '@/records/db';
import { recordPiece } from '@/records/readings';
import { pieceReadingSchema } from './schema';

/** Records what an opening gave for one piece; the same submit twice is recorded once. */
export async function savePieceReading(input: unknown): Promise<Outcome<null>> {
  return withMember('student', pieceReadingSchema, input, async (member, said) => {
    await recordPiece(db(), member.id, said);
    return null;
  });
}
