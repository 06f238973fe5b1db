'use server';
import { refresh } from 'next/cache';
import { z } from 'zod';
import { withMember, type Outcome } from '@/door';
import { db } from '@/records/db';
import { NotThere } from '@/records/faults';
import { endSessions, sessionsOf } from '@/records/members';
import { idSchema } from '../pieces/schema';

/** Ends one of the member's own sessions: the phone left on the bus. */
export async function endOwnSession(input: unknown): Promise<Outcome<null>> {
  return withMember('visitor', z.object({ sessionId: idSchema }), input, async (member, { sessionId }) => {
    const own = await sessionsOf(db(), member.id);
    if (!own.some((session) => session.id === sessionId)) throw new NotThere('This session');
    await endSessions(db(), { sessionId });
    refresh();
    return null;
  });
}
