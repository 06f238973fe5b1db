'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { addTry, changeCase, openCase } from '@/records/cases';
import { db } from '@/records/db';
import { changeSchema, openSchema, trySchema } from './schema';

/** Opens a case and gives its number. */
export async function beginCase(input: unknown): Promise<Outcome<number>> {
  return withMember('student', openSchema, input, (member, draft) => openCase(db(), member.id, draft));
}

/** Keeps answers, closes a case with what helped, or opens it again. */
export async function keepCase(input: unknown): Promise<Outcome<null>> {
  return withMember('student', changeSchema, input, async (member, change) => {
    await changeCase(db(), member.id, change);
    refresh();
    return null;
  });
}

/** Notes a remedy that was tried. */
export async function noteTry(input: unknown): Promise<Outcome<null>> {
  return withMember('student', trySchema, input, async (member, said) => {
    await addTry(db(), member.id, said);
    refresh();
    return null;
  });
}
