'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { saveBody } from '@/records/bodies';
import { db } from '@/records/db';
import { saveBodySchema } from './schema';

/** Adds a clay or changes what is said about one. */
export async function saveBodyCard(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', saveBodySchema, input, async (member, { body, version }) => {
    await saveBody(db(), member.id, body, version);
    refresh();
    return null;
  });
}
