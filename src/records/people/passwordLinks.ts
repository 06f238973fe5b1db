import { recordChange } from '@/records/platform/changes';
import { inTransaction, newId, type Db } from '@/records/platform/db';
import { found, Refusal } from '@/records/platform/errors';
import { hashOf } from '@/records/platform/hash';
import { firstOf } from '@/records/platform/joins';
import { setPassword } from './members';
import { endSessions } from './sessions';

/** How long a link to a new password works, ms. */
const WORKS = 3_600_000;

/**
 * Makes a link by which a member who forgot the password sets another: once, within an hour. One made before ends.
 *
 * @param token 43 letters, 256 random bits; only its hash is kept
 * @throws NotFound; Refusal when the member has no sign-in
 */
export async function addPasswordLink(
  base: Db,
  by: string,
  forId: string,
  token: string,
  now = new Date(),
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const row = found(
      await trx('member').where({ id: forId, ended_at: null }).first('sign_in'),
      'This member',
    );
    if (row.sign_in === null)
      throw new Refusal('', 'A maker without a sign-in has no password. Invite them.');
    await trx('password_link').where({ for_id: forId, used_at: null }).update({ used_at: now });
    const id = newId();
    await trx('password_link').insert({
      ...{ id, key_hash: hashOf(token), for_id: forId, member_id: by, at: now },
      until: new Date(now.getTime() + WORKS),
    });
    await recordChange(trx, by, 'password_link', id, null, { for: forId });
  });
}

/** Whose password the link of a token sets while it works; null otherwise. */
export async function passwordLinkBy(
  base: Db,
  token: string,
  now = new Date(),
): Promise<{ readonly id: string; readonly memberId: string; readonly name: string } | null> {
  const row = await firstOf<{ l: 'password_link'; m: 'member' }>()(
    base('password_link as l')
      .join('member as m', 'm.id', 'l.for_id')
      .where('l.key_hash', hashOf(token))
      .whereNull('l.used_at')
      .whereNull('m.ended_at')
      .where('l.until', '>', now),
    'l.id',
    'l.for_id',
    'm.name',
  );
  return row ? { id: row.id, memberId: row.for_id, name: row.name } : null;
}

/**
 * Sets the password that a link is for, uses the link up and signs the member out everywhere.
 *
 * @returns the id of the member
 * @throws NotFound when the link works no more; Refusal of `password`
 */
export async function takePasswordLink(
  base: Db,
  token: string,
  password: string,
  now = new Date(),
): Promise<string> {
  return inTransaction(base, async (trx) => {
    await trx('password_link')
      .where({ key_hash: hashOf(token) })
      .forUpdate()
      .first('id');
    const link = found(await passwordLinkBy(trx, token, now), 'This link');
    await setPassword(trx, link.memberId, link.memberId, password);
    await trx('password_link').where({ id: link.id }).update({ used_at: now });
    await endSessions(trx, { memberId: link.memberId });
    return link.memberId;
  });
}
