import { rowsOf, firstOf } from '@/records/platform/joins';
import { ROLES, type Role } from '@/core/vocabulary';
import { hash, verify } from '@node-rs/argon2';
import { newId, type Db } from '@/records/platform/db';
import { recordChange } from '@/records/platform/changes';

export interface Member {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
}

/** Sessions end after this many days without use. */
const IDLE_DAYS = 30;
const DAY = 86_400_000;

/** Whether a role may do what needs at least `least`. */
export function hasRole(role: Role, least: Role): boolean {
  return ROLES.indexOf(role) <= ROLES.indexOf(least);
}

/** Adds a member; the password is kept as an argon2id hash. The same id twice is the same member. */
export async function addMember(
  base: Db,
  member: { id?: string; name: string; signIn: string; password: string; role: Role },
): Promise<string> {
  const id = member.id ?? newId();
  await base('member')
    .insert({
      id,
      name: member.name,
      sign_in: member.signIn.toLowerCase(),
      password_hash: await hash(member.password),
      role: member.role,
      created_at: new Date(),
    })
    .onConflict('id')
    .ignore();
  return id;
}

/** Whether the studio has anybody yet; a new one is asked for its first technician. */
export async function hasMembers(base: Db): Promise<boolean> {
  return Boolean(await base('member').first('id'));
}

// Checked when the name is unknown, so that a wrong name takes as long as a wrong password.
const NOBODY = hash('nobody has this password');

/** The member with this sign-in and password, or null. */
export async function checkPassword(base: Db, signIn: string, password: string): Promise<Member | null> {
  const row = await base('member').where({ sign_in: signIn.trim().toLowerCase(), ended_at: null }).first();
  const right = await verify(row?.password_hash ?? (await NOBODY), password);
  return row && right ? { id: row.id, name: row.name, role: row.role } : null;
}

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
  which: { sessionId: string } | { memberId: string },
): Promise<void> {
  const where = 'sessionId' in which ? { id: which.sessionId } : { member_id: which.memberId };
  await base('session').where(where).whereNull('ended_at').update({ ended_at: new Date() });
}

/** The live sessions of a member, newest first. */
export async function sessionsOf(base: Db, memberId: string) {
  return base('session')
    .where({ member_id: memberId, ended_at: null })
    .orderBy('seen_at', 'desc')
    .select<{ id: string; agent: string; created_at: Date; seen_at: Date }[]>(
      'id',
      'agent',
      'created_at',
      'seen_at',
    );
}

/** Makes the first technician of an empty studio, and names its series of piece numbers; null once anybody is there. */
export async function addFirstMember(
  base: Db,
  first: { name: string; signIn: string; password: string; prefix: string },
) {
  return base.transaction(async (trx) => {
    if (await trx('member').forUpdate().first('id')) return null;
    const id = await addMember(trx, {
      name: first.name,
      signIn: first.signIn,
      password: first.password,
      role: 'technician',
    });
    await trx('series').update({ prefix: first.prefix });
    await recordChange(trx, id, 'member', id, null, { name: first.name, role: 'technician' });
    return id;
  });
}

/** The names of those who made pieces, by piece id. */
export async function makersOf(base: Db, pieceIds: readonly string[]): Promise<Map<string, string>> {
  const rows: { id: string; name: string }[] = await rowsOf<{ p: 'piece'; m: 'member' }>()(
    base('piece as p').join('member as m', 'm.id', 'p.member_id').whereIn('p.id', pieceIds),
    'p.id',
    'm.name',
  );
  return new Map(rows.map(({ id, name }) => [id, name]));
}
