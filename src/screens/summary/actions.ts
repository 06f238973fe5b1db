'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { db } from '@/records/db';
import { advanceFiring } from '@/records/firings';
import { endRepair } from '@/records/shelfRepairs';
import { closeSchema, repairedSchema } from './schema';

/** Marks a shelf as put right, or not after all. */
export async function markRepaired(input: unknown): Promise<Outcome<null>> {
  return withMember('student', repairedSchema, input, async (member, { repairId, done }) => {
    await endRepair(db(), member.id, repairId, done);
    refresh();
    return null;
  });
}

/** Closes an opened firing: the kiln is empty and may be loaded again. */
export async function closeOpening(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', closeSchema, input, async (member, { firingId }) => {
    await advanceFiring(db(), member.id, firingId, 'closed');
    refresh();
    return null;
  });
}
