import 'server-only';
import { db } from '@/records/platform';
import { hasRole, listGroups, listInvitations, listPeople, type Member } from '@/records/people';

/** Who a member sees on the page of people: a technician everybody, a teacher the people of own groups. */
export async function peopleModel(member: Member) {
  const [people, groups, invitations] = await Promise.all([
    listPeople(db()),
    listGroups(db()),
    listInvitations(db()),
  ]);
  const isTechnician = hasRole(member.role, 'technician');
  const me = { id: member.id, isTechnician };
  if (isTechnician) return { people, groups, invitations, me };
  const own = groups.filter(({ teacherId }) => teacherId === member.id);
  const seen = new Set([member.id, ...own.flatMap(({ memberIds }) => memberIds)]);
  const ownIds = new Set(own.map(({ id }) => id));
  return {
    people: people.filter(({ id }) => seen.has(id)),
    groups: own,
    invitations: invitations.filter(({ groupId }) => groupId !== null && ownIds.has(groupId)),
    me,
  };
}
