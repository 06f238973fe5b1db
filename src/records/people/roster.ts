import { FORMER_MEMBER, type Role } from '@/core/vocabulary';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { found, Refusal } from '@/records/platform/errors';
import type { Mapping } from '@/records/platform/mapping';
import type { MemberRow } from '@/records/platform/tables';
import { updateRow } from '@/records/platform/write';
import { endSessions } from './sessions';

/** Somebody of the studio: a member who signs in, or a maker without a sign-in, whom others log for. */
export interface Person {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  /** Null for a maker without a sign-in, and for one who left without a name. */
  readonly signIn: string | null;
  readonly hasSecondFactor: boolean;
  readonly seenAt: Date | null;
  readonly pieces: number;
  readonly endedAt: Date | null;
  readonly version: number;
}

/** Everybody, those who are there first, by name. */
export async function listPeople(base: Db): Promise<Person[]> {
  const [rows, seen, pieces] = await Promise.all([
    base('member').orderByRaw('ended_at is not null, name').select('*'),
    base('session')
      .groupBy('member_id')
      .select<{ member_id: string; at: Date }[]>('member_id', base.raw('max(seen_at) as at')),
    base('piece')
      .groupBy('member_id')
      .select<{ member_id: string; count: number }[]>('member_id', base.raw('count(*) as count')),
  ]);
  const seenAt = new Map(seen.map((row) => [row.member_id, row.at]));
  const made = new Map(pieces.map((row) => [row.member_id, Number(row.count)]));
  return rows.map((row) => ({
    ...{ id: row.id, name: row.name, role: row.role, signIn: row.sign_in },
    hasSecondFactor: row.totp_at !== null,
    seenAt: seenAt.get(row.id) ?? null,
    pieces: made.get(row.id) ?? 0,
    endedAt: row.ended_at,
    version: row.version,
  }));
}

/** Adds a maker without a sign-in. The same id again is the same maker. */
export async function addMaker(
  base: Db,
  memberId: string,
  { id, name, groupId }: { readonly id: string; readonly name: string; readonly groupId: string | null },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (await trx('member').where({ id }).first('id')) return;
    await trx('member').insert({ id, name, role: 'student', created_at: new Date() });
    if (groupId) await trx('group_member').insert({ group_id: groupId, member_id: id });
    await recordChange(trx, memberId, 'member', id, null, { name, maker: true });
  });
}

/**
 * Changes somebody's name and role under their optimistic lock.
 *
 * @throws NotFound; Conflict; Refusal when nobody would be a technician any more
 */
export async function savePerson(
  base: Db,
  memberId: string,
  { id, name, role }: Pick<Person, 'id' | 'name' | 'role'>,
  version: number,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (role !== 'technician') await keepTechnician(trx, id);
    await updateRow(trx, memberId, 'member', PERSON, { id, name, role, version });
  });
}

const PERSON: Mapping<Pick<Person, 'id' | 'name' | 'role' | 'version'>, MemberRow> = {
  id: 'id',
  name: 'name',
  role: 'role',
  version: 'version',
};

/** @throws Refusal when a member is the only technician */
async function keepTechnician(trx: Db, id: string): Promise<void> {
  const others = trx('member').where({ role: 'technician', ended_at: null }).whereNotNull('sign_in');
  const technicians = await others.forUpdate().pluck('id');
  if (technicians.length === 1 && technicians[0] === id)
    throw new Refusal('role', 'The studio needs a technician. Make somebody else one first.');
}

/**
 * Lets somebody leave: signed out for good. Their work stays, under their name or as that of a former member.
 *
 * @throws NotFound; Refusal when nobody would be a technician any more
 */
export async function leaveStudio(
  base: Db,
  memberId: string,
  { id, isNameKept }: { readonly id: string; readonly isNameKept: boolean },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const before = found(await trx('member').where({ id }).forUpdate().first(), 'This member');
    await keepTechnician(trx, id);
    const gone = { name: FORMER_MEMBER, sign_in: null, password_hash: null };
    const noFactor = { totp_secret: null, totp_at: null, totp_step: null };
    await trx('member')
      .where({ id })
      .update({
        ended_at: new Date(),
        version: before.version + 1,
        ...(!isNameKept && { ...gone, ...noFactor }),
      });
    await endSessions(trx, { memberId: id });
    await trx('group_member').where({ member_id: id }).delete();
    // Of one whose name goes the history of the member forgets it as well.
    if (!isNameKept)
      await trx('change')
        .where({ what: 'member', row_id: id })
        .update({ before_json: null, after_json: null });
    await recordChange(trx, memberId, 'member', id, { left: false }, { left: true, isNameKept });
  });
}

/** Lets somebody who left under their name come back. @throws NotFound */
export async function returnToStudio(base: Db, memberId: string, id: string): Promise<void> {
  await inTransaction(base, async (trx) => {
    const back = await trx('member').where({ id }).whereNotNull('ended_at').whereNot({ name: FORMER_MEMBER });
    const row = found(back[0], 'This member');
    await trx('member')
      .where({ id })
      .update({ ended_at: null, version: row.version + 1 });
    await recordChange(trx, memberId, 'member', id, { left: true }, { left: false });
  });
}

/**
 * Joins a maker without a sign-in to another person who is the same: all their pieces become that person's.
 *
 * @throws NotFound; Refusal when the one that goes can sign in
 */
export async function mergeMaker(
  base: Db,
  memberId: string,
  { fromId, intoId }: { readonly fromId: string; readonly intoId: string },
): Promise<number> {
  return inTransaction(base, async (trx) => {
    if (fromId === intoId) throw new Refusal('intoId', 'This is the same person already.');
    const from = found(
      await trx('member').where({ id: fromId, ended_at: null }).forUpdate().first(),
      'This maker',
    );
    found(await trx('member').where({ id: intoId, ended_at: null }).first('id'), 'The other person');
    if (from.sign_in !== null)
      throw new Refusal(
        'fromId',
        `${from.name} signs in. Only a maker without a sign-in can be joined to another.`,
      );
    const pieces = await trx('piece').where({ member_id: fromId }).pluck('id');
    await trx('piece').where({ member_id: fromId }).update({ member_id: intoId });
    await trx('group_member').where({ member_id: fromId }).delete();
    await trx('member')
      .where({ id: fromId })
      .update({ ended_at: new Date(), version: from.version + 1 });
    await recordChange(trx, memberId, 'member', fromId, { maker: from.name }, { joinedTo: intoId, pieces });
    return pieces.length;
  });
}
