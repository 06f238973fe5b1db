'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { db } from '@/records/db';
import { addKiln, advanceFiring, loadPieces, saveFiring, unloadPiece } from '@/records/firings';
import { advanceSchema, kilnSchema, loadSchema, saveFiringSchema, unloadSchema } from './schema';

/** Plans a firing or changes its plan. */
export async function saveFiringPlan(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', saveFiringSchema, input, async (member, { firing, version }) => {
    await saveFiring(db(), member.id, firing, version);
    refresh();
    return null;
  });
}

/** Adds a kiln. */
export async function saveKiln(input: unknown): Promise<Outcome<null>> {
  return withMember('technician', kilnSchema, input, async (member, kiln) => {
    await addKiln(db(), member.id, kiln);
    refresh();
    return null;
  });
}

/** Puts pieces into a firing. */
export async function load(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', loadSchema, input, async (member, { firingId, places }) => {
    await loadPieces(db(), member.id, firingId, places);
    refresh();
    return null;
  });
}

/** Takes a piece out of a firing that is being loaded. */
export async function unload(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', unloadSchema, input, async (member, { firingId, pieceId }) => {
    await unloadPiece(db(), member.id, firingId, pieceId);
    refresh();
    return null;
  });
}

/** Moves a firing on, or notes the cone it reached. */
export async function advance(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', advanceSchema, input, async (member, { firingId, to, achievedCone }) => {
    await advanceFiring(db(), member.id, firingId, to, achievedCone === undefined ? {} : { achievedCone });
    refresh();
    return null;
  });
}
