import type { Role } from '@/core/vocabulary';
import { ROLES } from '@/core/vocabulary';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, newId, type Db } from '@/records/platform/db';
import { found, Refusal } from '@/records/platform/errors';
import { rowsOf } from '@/records/platform/joins';
import { hashPassword, isPassword } from './passwords';
import { saveStudioSettings, studioSettings } from './preferences';

export interface Member {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
}

/** What somebody signs in with, as they chose it. */
export interface NewAccount {
  readonly name: string;
  readonly signIn: string;
  readonly password: string;
}

/** Whether a role may do what needs at least `least`. */
export function hasRole(role: Role, least: Role): boolean {
  return ROLES.indexOf(role) <= ROLES.indexOf(least);
}

/** A sign-in name as it is kept: small letters. */
export const signInKey = (signIn: string) => signIn.trim().toLowerCase();

/** @throws Refusal of the field `signIn` when another member has it */
export async function refuseTakenSignIn(trx: Db, signIn: string, memberId?: string): Promise<void> {
  const taken = await trx('member')
    .where({ sign_in: signInKey(signIn) })
    .first('id');
  if (taken && taken.id !== memberId)
    throw new Refusal('signIn', `Somebody already signs in as ${signIn.trim()}. Choose another name.`);
}

/**
 * Adds a member who signs in; the password is kept as an argon2id hash. The same id twice is the same member.
 *
 * @throws Refusal of `signIn` or `password`
 */
export async function addMember(
  base: Db,
  member: NewAccount & { readonly id?: string; readonly role: Role },
): Promise<string> {
  const id = member.id ?? newId();
  if (await base('member').where({ id }).first('id')) return id;
  await refuseTakenSignIn(base, member.signIn);
  await base('member').insert({
    id,
    name: member.name,
    sign_in: signInKey(member.signIn),
    password_hash: await hashPassword(member.password, [member.name, member.signIn]),
    role: member.role,
    created_at: new Date(),
  });
  return id;
}

/** Whether the studio has anybody yet; a new one is asked for its first technician. */
export async function hasMembers(base: Db): Promise<boolean> {
  return Boolean(await base('member').first('id'));
}

/** The member with this sign-in and password, or null. */
export async function checkPassword(base: Db, signIn: string, password: string): Promise<Member | null> {
  const row = await base('member')
    .where({ sign_in: signInKey(signIn), ended_at: null })
    .first();
  const isRight = await isPassword(row?.password_hash, password);
  return row && isRight ? { id: row.id, name: row.name, role: row.role } : null;
}

/** Makes the first technician of an empty studio, and names its series of piece numbers; null once anybody is there. */
export async function addFirstMember(
  base: Db,
  { prefix, zone, ...first }: NewAccount & { readonly prefix: string; readonly zone?: string | null },
) {
  return inTransaction(base, async (trx) => {
    if (await trx('member').forUpdate().first('id')) return null;
    const id = await addMember(trx, { ...first, role: 'technician' });
    await trx('series').update({ prefix });
    await recordChange(trx, id, 'member', id, null, { name: first.name, role: 'technician' });
    if (zone) await saveStudioSettings(trx, id, { ...(await studioSettings(trx)).value, zone }, 0);
    return id;
  });
}

/** A member's own account. */
export interface Account {
  readonly name: string;
  readonly signIn: string | null;
  readonly hasSecondFactor: boolean;
  readonly hasPin: boolean;
  /** Recovery codes not used yet. */
  readonly codesLeft: number;
}

/** What the page of one's own account shows. @throws NotFound */
export async function accountOf(base: Db, memberId: string): Promise<Account> {
  const row = found(await base('member').where({ id: memberId }).first(), 'This member');
  const [codes] = await base('recovery_code')
    .where({ member_id: memberId, used_at: null })
    .count<{ count: number }[]>('* as count');
  return {
    name: row.name,
    signIn: row.sign_in,
    hasSecondFactor: row.totp_at !== null,
    hasPin: row.pin_hash !== null,
    codesLeft: Number(codes!.count),
  };
}

/** Asks for the password again before something that matters. @throws Refusal of the field `password` */
export async function confirmPassword(trx: Db, memberId: string, password: string) {
  const row = found(await trx('member').where({ id: memberId }).forUpdate().first(), 'This member');
  if (!(await isPassword(row.password_hash, password)))
    throw new Refusal('password', 'This is not your password.');
  return row;
}

/** Changes a member's own name and sign-in name. @throws Refusal of `password` or `signIn` */
export async function changeSignIn(
  base: Db,
  memberId: string,
  { name, signIn, password }: NewAccount,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const before = await confirmPassword(trx, memberId, password);
    await refuseTakenSignIn(trx, signIn, memberId);
    const after = { name, sign_in: signInKey(signIn) };
    await trx('member').where({ id: memberId }).update(after);
    await recordChange(
      trx,
      memberId,
      'member',
      memberId,
      { name: before.name, sign_in: before.sign_in },
      after,
    );
  });
}

/**
 * Changes a member's own password and signs out all other devices.
 *
 * @param sessionId the session that stays
 * @throws Refusal of `password` (the old one) or `next`
 */
export async function changePassword(
  base: Db,
  memberId: string,
  { password, next }: { readonly password: string; readonly next: string },
  sessionId: string,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    await confirmPassword(trx, memberId, password);
    await setPassword(trx, memberId, memberId, next, 'next');
    await trx('session')
      .where({ member_id: memberId, ended_at: null })
      .whereNot({ id: sessionId })
      .update({ ended_at: new Date() });
  });
}

/** Sets a password; what it was and is stays out of the records. @throws Refusal of `field` */
export async function setPassword(
  trx: Db,
  by: string,
  memberId: string,
  password: string,
  field = 'password',
): Promise<void> {
  const row = found(await trx('member').where({ id: memberId }).first(), 'This member');
  const kept = await hashPassword(password, [row.name, row.sign_in ?? '']).catch((error: unknown) => {
    throw error instanceof Refusal ? new Refusal(field, error.message) : error;
  });
  await trx('member').where({ id: memberId }).update({ password_hash: kept });
  await recordChange(trx, by, 'member', memberId, null, { password: 'changed' });
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
