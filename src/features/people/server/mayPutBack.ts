import 'server-only';
import type { Role } from '@/core/vocabulary';
import type { StudioChange } from '@/records/changes';
import { beyondReach, hasRole, type Member } from '@/records/people';
import type { Db } from '@/records/platform';

/** Who may put back their own changes of a kind; of all else a teacher. */
const LEAST: Readonly<Record<string, Role>> = { piece: 'student', coats: 'student', kiln: 'technician' };

/**
 * Whether a member may put back a change: a technician any; others what they changed themselves, and of the pieces
 * within their reach what anybody changed.
 */
export async function mayPutBack(
  base: Db,
  member: Member,
  { what, rowId, memberId }: Pick<StudioChange, 'what' | 'rowId' | 'memberId'>,
): Promise<boolean> {
  if (hasRole(member.role, 'technician')) return true;
  if (!hasRole(member.role, LEAST[what] ?? 'teacher')) return false;
  return what === 'piece' || what === 'coats'
    ? (await beyondReach(base, member, 'pieces', { pieceIds: [rowId] })) === null
    : memberId === member.id;
}
