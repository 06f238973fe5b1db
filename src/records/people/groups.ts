import { ofGroup } from './ofGroup';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { found, NotFound, Refusal } from '@/records/platform/errors';
import { rowsOf } from '@/records/platform/joins';
import { dayOrNull, dayText, type Mapping } from '@/records/platform/mapping';
import type { MemberGroupRow } from '@/records/platform/tables';
import { insertRow, setEnded, updateRow } from '@/records/platform/write';
import { hasRole, type Member } from './members';

/** A class, or another circle of members with a teacher. */
export interface GroupDraft {
  readonly id: string;
  readonly name: string;
  readonly teacherId: string;
  readonly memberIds: readonly string[];
  /** The day by which its pieces are to be fired, "YYYY-MM-DD", or null. */
  readonly dueOn: string | null;
}

export interface Group extends GroupDraft {
  readonly teacher: string;
  readonly endedAt: Date | null;
  readonly version: number;
}

const GROUP: Mapping<Omit<GroupDraft, 'memberIds'> & { version: number }, MemberGroupRow> = {
  id: 'id',
  name: 'name',
  teacherId: 'teacher_id',
  dueOn: dayOrNull('due_on'),
  version: 'version',
};

/** Groups, those that have not ended first, by name. */
export async function listGroups(base: Db): Promise<Group[]> {
  const [rows, members] = await Promise.all([
    rowsOf<{ g: 'member_group'; t: 'member' }>()(
      base('member_group as g')
        .join('member as t', 't.id', 'g.teacher_id')
        .orderByRaw('g.ended_at is not null, g.name'),
      'g.*',
      't.name as teacher',
    ),
    base('group_member').select('group_id', 'member_id'),
  ]);
  return rows.map((row) => ({
    ...{ id: row.id, name: row.name, teacherId: row.teacher_id, teacher: row.teacher },
    dueOn: row.due_on && dayText(row.due_on),
    memberIds: members.filter((one) => one.group_id === row.id).map((one) => one.member_id),
    endedAt: row.ended_at,
    version: row.version,
  }));
}

/** Adds a group, or changes one under its optimistic lock, with all of its members. @throws NotFound; Conflict */
export async function saveGroup(
  base: Db,
  memberId: string,
  { memberIds, ...draft }: GroupDraft,
  version: number | null,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (version === null) {
      if (await trx('member_group').where({ id: draft.id }).first('id')) return;
      await insertRow(trx, memberId, 'member_group', GROUP, draft, { at: new Date() });
    } else await updateRow(trx, memberId, 'member_group', GROUP, { ...draft, version });
    const before = await trx('group_member').where({ group_id: draft.id }).pluck('member_id');
    await trx('group_member').where({ group_id: draft.id }).delete();
    const there = [...new Set(memberIds)];
    if (there.length)
      await trx('group_member').insert(there.map((one) => ({ group_id: draft.id, member_id: one })));
    await recordChange(trx, memberId, 'group_member', draft.id, { members: before }, { members: there });
  });
}

/** Ends a group, which can still be looked at, or takes it up again. @throws NotFound */
export async function setGroupEnded(base: Db, memberId: string, id: string, isEnded: boolean): Promise<void> {
  await inTransaction(base, (trx) => setEnded(trx, memberId, 'member_group', id, isEnded));
}

/** The teacher of a group. @throws NotFound */
export async function teacherOf(base: Db, groupId: string): Promise<string> {
  const row = await base('member_group').where({ id: groupId }).first('teacher_id');
  if (!row) throw new NotFound('This group');
  return row.teacher_id;
}

/** The groups that a member teaches or is in; of a technician all. */
export async function groupsSeenBy(base: Db, member: Member): Promise<Group[]> {
  const groups = await listGroups(base);
  return groups.filter(
    ({ teacherId, memberIds }) =>
      hasRole(member.role, 'technician') || teacherId === member.id || memberIds.includes(member.id),
  );
}

/** What a group has of its own beside its people. */
export type GroupThing = 'round' | 'named_wall';

/**
 * Makes a round or a named wall a group's own, or takes it from the group that has it.
 *
 * @throws NotFound; Refusal when it is another group's
 */
export async function giveToGroup(
  base: Db,
  memberId: string,
  what: GroupThing,
  id: string,
  { groupId, isGiven }: { readonly groupId: string; readonly isGiven: boolean },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const row = found(
      await trx<{ id: string; group_id: string | null }>(what).where({ id }).forUpdate().first('group_id'),
      'This',
    );
    if (row.group_id !== null && row.group_id !== groupId)
      throw new Refusal('id', 'This is another group’s.');
    const after = isGiven ? groupId : null;
    await trx<{ id: string; group_id: string | null }>(what).where({ id }).update({ group_id: after });
    await recordChange(trx, memberId, what, id, { group: row.group_id }, { group: after });
  });
}

/** Rounds and named walls with the group they are of, the newest first. */
export async function groupThings(base: Db) {
  const [rounds, walls] = await Promise.all([
    rowsOf<{ r: 'round' }>()(
      base('round as r').orderBy('r.number', 'desc'),
      ...(['r.id', 'r.number', 'r.name', 'r.group_id as groupId'] as const),
    ),
    rowsOf<{ w: 'named_wall' }>()(
      base('named_wall as w').whereNull('w.ended_at').orderBy('w.name'),
      ...(['w.id', 'w.name', 'w.search', 'w.group_id as groupId'] as const),
    ),
  ]);
  return { rounds, walls };
}

/** Openings in which pieces of a group were, the newest first. */
export async function openingsOf(base: Db, groupId: string, limit: number) {
  const rows = await rowsOf<{ f: 'firing'; k: 'kiln' }>()(
    base('firing as f')
      .join('kiln as k', 'k.id', 'f.kiln_id')
      .whereIn('f.state', ['open', 'closed'])
      .whereIn(
        'f.id',
        base('firing_piece as fp')
          .join('piece as p', 'p.id', 'fp.piece_id')
          .where(ofGroup(base, groupId))
          .select('fp.firing_id'),
      )
      .orderBy('f.opened_at', 'desc')
      .limit(limit),
    ...(['f.id', 'f.number', 'k.name as kiln', 'f.kind', 'f.cone', 'f.atmosphere', 'f.opened_at'] as const),
  );
  return rows.map(({ opened_at, ...firing }) => ({ ...firing, openedAt: opened_at }));
}
