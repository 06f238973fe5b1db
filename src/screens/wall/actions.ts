'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { askFor, takeBack } from '@/records/asked';
import { db } from '@/records/db';
import { endWall, keepWall } from '@/records/namedWalls';
import { addShare, endShare } from '@/records/shares';
import { askedSchema, endSchema, shareSchema, wallNameSchema } from './schema';

/** Keeps the wall in view under a name. */
export async function nameWall(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', wallNameSchema, input, async (member, wall) => {
    await keepWall(db(), member.id, wall);
    refresh();
    return null;
  });
}

/** Takes a wall's name away, or gives it back. */
export async function forgetWall(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', endSchema, input, async (member, { id, ended }) => {
    await endWall(db(), member.id, id, ended);
    refresh();
    return null;
  });
}

/** Makes a link for visitors; its token stays with the one who made it. */
export async function shareWall(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', shareSchema, input, async (member, { share, token, days }) => {
    await addShare(db(), member.id, share, token, days);
    refresh();
    return null;
  });
}

/** Ends a link, or gives it back. */
export async function endLink(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', endSchema, input, async (member, { id, ended }) => {
    await endShare(db(), member.id, id, ended);
    refresh();
    return null;
  });
}

/** Asks for a combination that nobody has tried. */
export async function askForCell(input: unknown): Promise<Outcome<null>> {
  return withMember('student', askedSchema, input, async (member, wish) => {
    await askFor(db(), member.id, wish);
    refresh();
    return null;
  });
}

/** Takes a wish back. */
export async function takeWishBack(input: unknown): Promise<Outcome<null>> {
  return withMember('student', askedSchema.pick({ id: true }), input, async (member, { id }) => {
    await takeBack(db(), member.id, id);
    refresh();
    return null;
  });
}
