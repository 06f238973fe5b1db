import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { NotFound } from '@/records/platform/errors';
import { rowsOf } from '@/records/platform/joins';
import { type Mapping } from '@/records/platform/mapping';
import type { MemberGroupRow } from '@/records/platform/tables';
import { insertRow, setEnded, updateRow } from '@/records/platform/write';

/** A class, or another circle of members with a teacher. */
export interface GroupDraft {
  readonly id: string;
  readonly name: string;
  readonly teacherId: string;
  readonly memberIds: readonly string[];
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
