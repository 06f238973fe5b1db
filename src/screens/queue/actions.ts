'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { renewFeed } from '@/records/calendarFeed';
import { db } from '@/records/db';
import { firingById, saveFiring } from '@/records/firings';
import { saveSetting } from '@/records/settings';
import { hoursSchema, moveSchema, nothingSchema } from './schema';

/** Says when the studio is open and when no flame burns. */
export async function keepHours(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', hoursSchema, input, async (member, { hours, version }) => {
    await saveSetting(db(), member.id, 'hours', hours, version);
    refresh();
    return null;
  });
}

/** Moves a planned firing to another day and hour. */
export async function moveFiring(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', moveSchema, input, async (member, { firingId, version, ...to }) => {
    await saveFiring(db(), member.id, { ...(await firingById(db(), firingId)), ...to }, version);
    refresh();
    return null;
  });
}

/** Makes a new address for the calendar feed; the old one ends. */
export async function newFeed(input: unknown): Promise<Outcome<string>> {
  return withMember('teacher', nothingSchema, input, (member) => renewFeed(db(), member.id));
}
