'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { db } from '@/records/db';
import { saveProgramme } from '@/records/programmes';
import { programmeSchema } from './schema';

/** Saves a programme. */
export async function keepProgramme(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', programmeSchema, input, async (member, { programme, version }) => {
    await saveProgramme(db(), member.id, programme, version);
    refresh();
    return null;
  });
}
