import { newId, type Db } from '@/records/platform/db';
import { firstOf } from '@/records/platform/joins';
import type { Member } from './members';

const MINUTE = 60_000;
/** Sessions end after so long without use, ms, and it is noted so often that they are used. */
const BY_PASSWORD = { idle: 30 * 1440 * MINUTE, noted: 60 * MINUTE };
const BY_PIN = { idle: 60 * MINUTE, noted: MINUTE };

/** Who is signed in, and how. */
export interface SignedIn extends Member {
  readonly hasSecondFactor: boolean;
  /** Whether it was by a PIN on a device of the studio. */
  readonly isByPin: boolean;
}

/**
 * Opens a session; its id goes sealed into the cookie.
 *
 * @param deviceId the studio's device when a PIN opens it
 */
export async function startSession(
  base: Db,
  memberId: string,
  agent: string,
  deviceId: string | null = null,
): Promise<string> {
  const id = newId();
  const now = new Date();
  await base('session').insert({
    id,
    member_id: memberId,
    device_id: deviceId,
    agent: agent.slice(0, 200),
    created_at: now,
    seen_at: now,
  });
  return id;
}

/** The member of a live session, or null when it or its device was ended, it is stale, or the member left. */
export async function memberOfSession(base: Db, sessionId: string): Promise<SignedIn | null> {
  const row = await firstOf<{ s: 'session'; m: 'member'; d: 'studio_device' }>()(
    base('session as s')
      .join('member as m', 'm.id', 's.member_id')
      .leftJoin('studio_device as d', 'd.id', 's.device_id')
      .where('s.id', sessionId)
      .whereNull('s.ended_at')
      .whereNull('d.ended_at')
      .whereNull('m.ended_at'),
    'm.id',
    'm.name',
    'm.role',
    'm.totp_at',
    's.seen_at',
    's.device_id',
  );
  if (!row) return null;
  const age = Date.now() - row.seen_at.getTime();
  const { idle, noted } = row.device_id === null ? BY_PASSWORD : BY_PIN;
  if (age > idle) return null;
  if (age > noted) await base('session').where({ id: sessionId }).update({ seen_at: new Date() });
  return {
    ...{ id: row.id, name: row.name, role: row.role },
    hasSecondFactor: row.totp_at !== null,
    isByPin: row.device_id !== null,
  };
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
