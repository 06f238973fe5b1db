import { newId, type Db } from '@/records/platform/db';
import { firstOf } from '@/records/platform/joins';
import type { Member } from './members';

/** Sessions end after this many days without use. */
const IDLE_DAYS = 30;
const DAY = 86_400_000;

/** Opens a session; its id goes sealed into the cookie. */
export async function startSession(base: Db, memberId: string, agent: string): Promise<string> {
  const id = newId();
  const now = new Date();
  await base('session').insert({
    id,
    member_id: memberId,
    agent: agent.slice(0, 200),
    created_at: now,
    seen_at: now,
  });
  return id;
}

/** The member of a live session, or null when it was ended, is stale, or the member left. */
export async function memberOfSession(base: Db, sessionId: string): Promise<Member | null> {
  const row = await firstOf<{ s: 'session'; m: 'member' }>()(
    base('session as s')
      .join('member as m', 'm.id', 's.member_id')
      .where('s.id', sessionId)
      .whereNull('s.ended_at')
      .whereNull('m.ended_at'),
    'm.id',
    'm.name',
    'm.role',
    's.seen_at',
  );
  if (!row) return null;
  const age = Date.now() - row.seen_at.getTime();
  if (age > IDLE_DAYS * DAY) return null;
  if (age > DAY / 24) await base('session').where({ id: sessionId }).update({ seen_at: new Date() });
  return { id: row.id, name: row.name, role: row.role };
}

/** Ends one session, or all of a member's. */
export async function endSessions(
  base: Db,
  which: { readonly sessionId: string } | { readonly memberId: string },
): Promise<void> {
  const where = 'sessionId' in which ? { id: which.sessionId } : { member_id: which.memberId };
  await base('session').where(where).whereNull('ended_at').update({ ended_at: new Date() });
}

/** A device on which a member is signed in. */
export interface Session {
  readonly id: string;
  readonly agent: string;
  readonly created_at: Date;
  readonly seen_at: Date;
}

/** The live sessions of a member, newest first. */
export async function sessionsOf(base: Db, memberId: string): Promise<Session[]> {
  return base('session')
    .where({ member_id: memberId, ended_at: null })
    .orderBy('seen_at', 'desc')
    .select('id', 'agent', 'created_at', 'seen_at');
}
