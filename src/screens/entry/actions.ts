'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { db } from '@/records/db';
import { addCorrection, saveTeacherNote, settleCorrection } from '@/records/entryNotes';
import { correctionSchema, noteSchema, settleSchema } from './schema';

/** Writes the teacher's note of an entry. */
export async function keepNote(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', noteSchema, input, async (member, note) => {
    await saveTeacherNote(db(), member.id, note);
    refresh();
    return null;
  });
}

/** Says what is wrong with an entry. */
export async function correct(input: unknown): Promise<Outcome<null>> {
  return withMember('student', correctionSchema, input, async (member, correction) => {
    await addCorrection(db(), member.id, correction);
    refresh();
    return null;
  });
}

/** Says that a correction was seen to. */
export async function settle(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', settleSchema, input, async (member, { id }) => {
    await settleCorrection(db(), member.id, id);
    refresh();
    return null;
  });
}
