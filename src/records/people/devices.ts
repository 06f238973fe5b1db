import { hash } from '@node-rs/argon2';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { found, Refusal } from '@/records/platform/errors';
import { rowsOf } from '@/records/platform/joins';
import { setEnded } from '@/records/platform/write';
import { confirmPassword, type Member } from './members';
import { isPassword } from './passwords';

/** A device of the studio, on which members sign in by their name and a PIN. */
export interface StudioDevice {
  readonly id: string;
  readonly name: string;
  readonly by: string;
  readonly at: Date;
}

/** Wrong PINs after which only the password helps. */
export const PIN_TRIES = 5;

/** Makes a device the studio's. The same id again is the same device. */
export async function addDevice(
  base: Db,
  memberId: string,
  { id, name }: Pick<StudioDevice, 'id' | 'name'>,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (await trx('studio_device').where({ id }).first('id')) return;
    await trx('studio_device').insert({ id, name, member_id: memberId, at: new Date() });
    await recordChange(trx, memberId, 'studio_device', id, null, { name });
  });
}

/** Makes a device anybody's again: who is signed in there by a PIN is signed out. @throws NotFound */
export async function endDevice(base: Db, memberId: string, id: string): Promise<void> {
  await inTransaction(base, (trx) => setEnded(trx, memberId, 'studio_device', id, true));
}

/** The devices of the studio in use, the newest first. */
export async function listDevices(base: Db): Promise<StudioDevice[]> {
  return rowsOf<{ d: 'studio_device'; m: 'member' }>()(
    base('studio_device as d')
      .join('member as m', 'm.id', 'd.member_id')
      .whereNull('d.ended_at')
      .orderBy('d.at', 'desc'),
    'd.id',
    'd.name',
    'd.at',
    'm.name as by',
  );
}

/** The device of an id while it is the studio's; null otherwise. */
export async function deviceBy(base: Db, id: string): Promise<{ id: string; name: string } | null> {
  return (await base('studio_device').where({ id, ended_at: null }).first('id', 'name')) ?? null;
}

/** Somebody whose name stands on a device of the studio. */
export interface DeviceName {
  readonly id: string;
  readonly name: string;
  /** Whether the PIN has been wrong too often, and the password is asked for. */
  readonly isLocked: boolean;
}

/** Those who have a PIN, by name. */
export async function deviceNames(base: Db): Promise<DeviceName[]> {
  const rows = await base('member')
    .where({ ended_at: null })
    .whereNotNull('pin_hash')
    .orderBy('name')
    .select('id', 'name', 'pin_tries');
  return rows.map(({ id, name, pin_tries }) => ({ id, name, isLocked: pin_tries >= PIN_TRIES }));
}

/** Whether a PIN is one that is tried first: one figure repeated, or figures in a row. */
function isCommonPin(pin: string): boolean {
  const steps = new Set([...pin].slice(1).map((figure, i) => Number(figure) - Number(pin[i])));
  return steps.size === 1 && [0, 1, -1].includes([...steps][0]!);
}

/**
 * Sets the PIN that a member signs in with on the studio's devices, after the password; null for none any more.
 *
 * @param pin four to eight figures
 * @throws Refusal of `password` or `pin`
 */
export async function savePin(
  base: Db,
  memberId: string,
  { password, pin }: { readonly password: string; readonly pin: string | null },
): Promise<void> {
  if (pin !== null && isCommonPin(pin))
    throw new Refusal('pin', 'This PIN is tried first. Choose other figures.');
  const kept = pin === null ? null : await hash(pin);
  await inTransaction(base, async (trx) => {
    await confirmPassword(trx, memberId, password);
    await trx('member').where({ id: memberId }).update({ pin_hash: kept, pin_tries: 0 });
    await recordChange(trx, memberId, 'member', memberId, null, {
      pin: pin === null ? 'removed' : 'changed',
    });
  });
}

/**
 * The member whose name was tapped and whose PIN was typed.
 *
 * @throws NotFound; Refusal of `pin` when it is wrong, and when it has been wrong {@link PIN_TRIES} times
 */
export async function checkPin(base: Db, memberId: string, pin: string): Promise<Member> {
  // Counted before it is checked, so that many tries at once are no more than five.
  const counted = await base('member')
    .where({ id: memberId, ended_at: null })
    .whereNotNull('pin_hash')
    .where('pin_tries', '<', PIN_TRIES)
    .increment('pin_tries', 1);
  const row = found(await base('member').where({ id: memberId, ended_at: null }).first(), 'This member');
  if (!counted) throw new Refusal('pin', 'Too many wrong PINs. Sign in with your password.');
  if (!(await isPassword(row.pin_hash, pin))) {
    const left = PIN_TRIES - row.pin_tries;
    throw new Refusal(
      'pin',
      left > 0
        ? `This PIN is wrong. ${left === 1 ? 'One try is' : `${left} tries are`} left.`
        : 'This PIN is wrong. Sign in with your password.',
    );
  }
  await forgetPinTries(base, memberId);
  return { id: row.id, name: row.name, role: row.role };
}

/** Forgets the wrong PINs of a member, who has shown the right one, or the password. */
export async function forgetPinTries(base: Db, memberId: string): Promise<void> {
  await base('member').where({ id: memberId }).where('pin_tries', '>', 0).update({ pin_tries: 0 });
}
