import type { Role } from '@/core/vocabulary';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, newId, type Db } from '@/records/platform/db';
import { found, NotFound, Refusal } from '@/records/platform/errors';
import { hashOf } from '@/records/platform/hash';
import { type JoinedRow, type Maybe, firstOf, rowsOf } from '@/records/platform/joins';
import { refuseTakenSignIn, signInKey, type NewAccount } from './members';
import { hashPassword } from './passwords';

const DAY = 86_400_000;

/** What an invitation gives: a role, perhaps a place in a group, perhaps the pieces of a maker. */
export interface InvitationDraft {
  readonly id: string;
  readonly role: Role;
  readonly groupId: string | null;
  /** A maker without a sign-in whose account this becomes; then one person may use it. */
  readonly makerId: string | null;
  /** How many may use it. */
  readonly most: number;
}

/** An invitation as its makers see it; its token is not kept. */
export interface Invitation extends InvitationDraft {
  readonly group: string | null;
  readonly maker: string | null;
  readonly by: string;
  readonly uses: number;
  readonly until: Date;
}

/**
 * Makes an invitation. The token is made by the maker's browser and only its hash is kept. The same id again is the
 * same invitation.
 *
 * @param token 43 letters, 256 random bits
 * @param days how long it works
 */
export async function addInvitation(
  base: Db,
  memberId: string,
  draft: InvitationDraft,
  token: string,
  days: number,
  now = new Date(),
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (await trx('invitation').where({ id: draft.id }).first('id')) return;
    if (draft.makerId && !(await trx('member').where({ id: draft.makerId, sign_in: null }).first('id')))
      throw new Refusal('makerId', 'Only a maker without a sign-in can get one.');
    await trx('invitation').insert({
      id: draft.id,
      key_hash: hashOf(token),
      role: draft.role,
      group_id: draft.groupId,
      maker_id: draft.makerId,
      most: draft.makerId ? 1 : draft.most,
      until: new Date(now.getTime() + days * DAY),
      member_id: memberId,
      at: now,
    });
    await recordChange(trx, memberId, 'invitation', draft.id, null, { ...draft, days });
  });
}

/** Ends an invitation. @throws NotFound */
export async function endInvitation(base: Db, memberId: string, id: string): Promise<void> {
  await inTransaction(base, async (trx) => {
    const ended = await trx('invitation').where({ id, ended_at: null }).update({ ended_at: new Date() });
    if (!ended) throw new NotFound('This invitation');
    await recordChange(trx, memberId, 'invitation', id, null, { ended: true });
  });
}

type Joins = { i: 'invitation'; m: 'member'; g: Maybe<'member_group'>; k: Maybe<'member'> };

const working = (base: Db, now: Date) =>
  base('invitation as i')
    .join('member as m', 'm.id', 'i.member_id')
    .leftJoin('member_group as g', 'g.id', 'i.group_id')
    .leftJoin('member as k', 'k.id', 'i.maker_id')
    .whereNull('i.ended_at')
    .where('i.until', '>', now)
    .whereRaw('i.uses < i.most');

const COLUMNS = ['i.*', 'm.name as by', 'g.name as group', 'k.name as maker'] as const;

/** Invitations that work, the newest first. */
export async function listInvitations(base: Db, now = new Date()): Promise<Invitation[]> {
  const rows = await rowsOf<Joins>()(working(base, now).orderBy('i.id', 'desc'), ...COLUMNS);
  return rows.map(invitationOf);
}

/** The invitation of a token while it works; null otherwise. */
export async function invitationBy(base: Db, token: string, now = new Date()): Promise<Invitation | null> {
  const row = await firstOf<Joins>()(working(base, now).where('i.key_hash', hashOf(token)), ...COLUMNS);
  return row ? invitationOf(row) : null;
}

function invitationOf(row: JoinedRow<Joins, (typeof COLUMNS)[number]>): Invitation {
  const { id, role, group, maker, by, uses, most, until } = row;
  return { id, role, groupId: row.group_id, makerId: row.maker_id, group, maker, by, uses, most, until };
}

/**
 * Makes the account that an invitation offers: a new member, or the maker it was made for, with all their pieces.
 *
 * @returns the id of the member
 * @throws NotFound when the invitation works no more; Refusal of `signIn` or `password`
 */
export async function acceptInvitation(
  base: Db,
  token: string,
  { name, signIn, password }: NewAccount,
  now = new Date(),
): Promise<string> {
  return inTransaction(base, async (trx) => {
    await trx('invitation')
      .where({ key_hash: hashOf(token) })
      .forUpdate()
      .first('id');
    const invitation = found(await invitationBy(trx, token, now), 'This invitation');
    await refuseTakenSignIn(trx, signIn);
    const account = {
      name,
      sign_in: signInKey(signIn),
      password_hash: await hashPassword(password, [name, signIn]),
      role: invitation.role,
    };
    const id = invitation.makerId ?? newId();
    if (invitation.makerId) await trx('member').where({ id }).update(account);
    else await trx('member').insert({ id, ...account, created_at: now });
    if (invitation.groupId)
      await trx('group_member').insert({ group_id: invitation.groupId, member_id: id }).onConflict().ignore();
    await trx('invitation').where({ id: invitation.id }).increment('uses');
    await recordChange(trx, id, 'member', id, null, { name, role: invitation.role, invited: invitation.id });
    return id;
  });
}
