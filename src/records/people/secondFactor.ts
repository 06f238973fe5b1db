import { randomBytes } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, newId, type Db } from '@/records/platform/db';
import { found, Refusal } from '@/records/platform/errors';
import { hashOf } from '@/records/platform/hash';
import { confirmPassword } from './members';

/** How many recovery codes a member gets. */
const CODES = 8;
/** Codes of this many half minutes before and after are taken: clocks differ. */
const WINDOW = 1;

/** Time-based one-time passwords after RFC 6238: SHA-1, 6 digits, 30 s, which every authenticator knows. */
const totpOf = (secret: string, label: string) =>
  new TOTP({ issuer: 'Jiten', label, secret: Secret.fromBase32(secret) });

/** What an authenticator is told: as a text to type, and as an address to scan. */
export interface FactorOffer {
  readonly secret: string;
  readonly address: string;
}

/**
 * Offers a member a second factor; it is not in use until a code of it was typed. Asked again it is another.
 *
 * @throws Refusal of `password`, or when one is in use
 */
export async function offerSecondFactor(base: Db, memberId: string, password: string): Promise<FactorOffer> {
  const row = await confirmPassword(base, memberId, password);
  if (row.totp_at) throw new Refusal('', 'You have a second factor already. Remove it first.');
  const secret = new Secret({ size: 20 }).base32;
  await base('member').where({ id: memberId }).update({ totp_secret: secret });
  return { secret, address: totpOf(secret, row.sign_in ?? row.name).toString() };
}

/**
 * Puts the offered factor into use once a code of it is right.
 *
 * @returns recovery codes, shown this once: only their hashes are kept
 * @throws Refusal of the field `code`
 */
export async function confirmSecondFactor(base: Db, memberId: string, code: string): Promise<string[]> {
  return inTransaction(base, async (trx) => {
    if (!(await isCode(trx, memberId, code))) throw new Refusal('code', WRONG_CODE);
    await trx('member').where({ id: memberId }).update({ totp_at: new Date() });
    await recordChange(trx, memberId, 'member', memberId, null, { secondFactor: true });
    return newCodes(trx, memberId);
  });
}

const WRONG_CODE = 'This code is not right. Codes change every half minute; is the clock of the phone right?';

/** Eight codes, each for one sign-in without the authenticator; those of before are void. */
async function newCodes(trx: Db, memberId: string): Promise<string[]> {
  await trx('recovery_code').where({ member_id: memberId }).delete();
  const codes = Array.from({ length: CODES }, () =>
    randomBytes(5)
      .toString('hex')
      .replace(/(.{5})/, '$1-'),
  );
  await trx('recovery_code').insert(
    codes.map((code) => ({ id: newId(), member_id: memberId, key_hash: keptCode(memberId, code) })),
  );
  return codes;
}

/** A recovery code as it is kept: bound to its member, as typed with or without the dash. */
const keptCode = (memberId: string, code: string) =>
  hashOf(`${memberId}:${code.toLowerCase().replace(/[^a-z0-9]/g, '')}`);

/** Takes a member's second factor out of use. @throws Refusal of the field `password` */
export async function removeSecondFactor(base: Db, memberId: string, password: string): Promise<void> {
  await inTransaction(base, async (trx) => {
    await confirmPassword(trx, memberId, password);
    await dropSecondFactor(trx, memberId, memberId);
  });
}

/** Takes somebody's second factor out of use, who lost the phone and the codes. @throws NotFound */
export async function dropSecondFactor(base: Db, by: string, memberId: string): Promise<void> {
  await inTransaction(base, async (trx) => {
    found(await trx('member').where({ id: memberId }).forUpdate().first('id'), 'This member');
    await trx('member').where({ id: memberId }).update({ totp_secret: null, totp_at: null, totp_step: null });
    await trx('recovery_code').where({ member_id: memberId }).delete();
    await recordChange(trx, by, 'member', memberId, { secondFactor: true }, { secondFactor: false });
  });
}

/** Whether a member must show a second factor when signing in. */
export async function hasSecondFactor(base: Db, memberId: string): Promise<boolean> {
  return Boolean(await base('member').where({ id: memberId }).whereNotNull('totp_at').first('id'));
}

/** Whether a code is right, and uses it up: one of the authenticator, or a recovery code. */
export async function takeCode(base: Db, memberId: string, code: string): Promise<boolean> {
  if (await isCode(base, memberId, code)) return true;
  return inTransaction(base, async (trx) => {
    const kept = { member_id: memberId, key_hash: keptCode(memberId, code), used_at: null };
    const row = await trx('recovery_code').where(kept).forUpdate().first('id');
    if (!row) return false;
    await trx('recovery_code').where({ id: row.id }).update({ used_at: new Date() });
    await recordChange(trx, memberId, 'member', memberId, null, { recoveryCode: 'used' });
    return true;
  });
}

/** Whether a code is the authenticator's, of a half minute of which none was taken yet; two at once are one. */
async function isCode(base: Db, memberId: string, code: string): Promise<boolean> {
  const row = await base('member').where({ id: memberId }).first('totp_secret');
  if (!row?.totp_secret) return false;
  const totp = totpOf(row.totp_secret, memberId);
  const delta = totp.validate({ token: code.replace(/\s/g, ''), window: WINDOW });
  if (delta === null) return false;
  const step = totp.counter() + delta;
  const taken = await base('member')
    .where({ id: memberId })
    .where((one) => void one.whereNull('totp_step').orWhere('totp_step', '<', step))
    .update({ totp_step: step });
  return taken > 0;
}
