'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { db } from '@/records/db';
import { addBatch } from '@/records/batches';
import { saveGlaze } from '@/records/glazes';
import { batchSchema, saveGlazeSchema } from './schema';

/** Adds a glaze or changes what is said about one. */
export async function saveGlazeCard(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', saveGlazeSchema, input, async (member, { glaze, version }) => {
    await saveGlaze(db(), member.id, glaze, version);
    refresh();
    return null;
  });
}

/** Notes that a new batch was mixed. */
export async function saveBatch(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', batchSchema, input, async (member, batch) => {
    await addBatch(db(), member.id, batch);
    refresh();
    return null;
  });
}
