'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { db } from '@/records/db';
import { recordPiece } from '@/records/readings';
import { pieceReadingSchema } from '../opening/schema';

/** Records what a piece showed after its opening; the earlier readings stay to be seen. */
export async function saveLateLook(input: unknown): Promise<Outcome<null>> {
  return withMember('student', pieceReadingSchema, input, async (member, said) => {
    await recordPiece(db(), member.id, said);
    refresh();
    return null;
  });
}
