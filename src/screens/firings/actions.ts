'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { db } from '@/records/db';
import { loadPieces, saveFiring, unloadPiece } from '@/records/firings';
import { saveKiln } from '@/records/kilns';
import { placePieces, setDue, setShelf } from '@/records/loads';
import { dueSchema, loadSchema, saveFiringSchema, saveKilnSchema, shelfSchema, unloadSchema } from './schema';

/** Plans a firing or changes its plan. */
export async function saveFiringPlan(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', saveFiringSchema, input, async (member, { firing, version }) => {
    await saveFiring(db(), member.id, firing, version);
    refresh();
    return null;
  });
}

/** Adds a kiln, or changes one. */
export async function keepKiln(input: unknown): Promise<Outcome<null>> {
  return withMember('technician', saveKilnSchema, input, async (member, { kiln, version }) => {
    await saveKiln(db(), member.id, kiln, version);
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

/** Moves pieces that are in a firing to other places. */
export async function place(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', loadSchema, input, async (member, { firingId, places }) => {
    await placePieces(db(), member.id, firingId, places);
    refresh();
    return null;
  });
}

/** Says how high the posts of a shelf are. */
export async function setPosts(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', shelfSchema, input, async (member, { firingId, shelf, postMm }) => {
    await setShelf(db(), member.id, firingId, shelf, { postMm });
    refresh();
    return null;
  });
}

/** Says when pieces are wanted. */
export async function want(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', dueSchema, input, async (member, { pieceIds, dueOn }) => {
    await setDue(db(), member.id, pieceIds, dueOn);
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
