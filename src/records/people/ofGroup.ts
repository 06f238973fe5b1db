import type { Knex } from 'knex';
import type { Db } from '@/records/platform/db';

/** Whether a piece `p` is of a group: made by one of its people, or for the group. */
export const ofGroup = (base: Db, groupId: string) => (query: Knex.QueryBuilder) =>
  void query
    .whereIn('p.member_id', base('group_member').where({ group_id: groupId }).select('member_id'))
    .orWhere({ 'p.group_id': groupId });
