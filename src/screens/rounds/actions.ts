'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { db } from '@/records/db';
import { glazeCells, saveRound } from '@/records/rounds';
import { glazeCellsSchema, roundSchema } from './schema';

/** Lays a round out and gives its pieces their numbers. */
export async function layOutRound(input: unknown): Promise<Outcome<number>> {
  return withMember('teacher', roundSchema, input, (member, draft) => saveRound(db(), member.id, draft));
}

/** Notes that cells were glazed as planned. */
export async function noteGlazed(input: unknown): Promise<Outcome<number>> {
  return withMember('student', glazeCellsSchema, input, async (member, { cells }) => {
    const glazed = await glazeCells(db(), member.id, cells);
    refresh();
    return glazed;
  });
}
