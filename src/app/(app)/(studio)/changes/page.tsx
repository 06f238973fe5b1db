import { z } from 'zod';
import { requireMember } from '@/auth';
import { hasRole, listPeople } from '@/records/people';
import { changedKinds, latestChanges } from '@/records/changes';
import { piecesById } from '@/records/pieces';
import { db } from '@/records/platform';
import { mayPutBack } from '@/features/people/server/mayPutBack';
import { ChangesView } from '@/features/people/ui/ChangesView';
import { idSchema } from '@/features/shared/schema';

export const metadata = { title: 'Changes' };

/** Changes on a page. */
const SHOWN = 60;

const id = idSchema.optional().catch(undefined);
const querySchema = z.object({
  what: z.string().max(40).optional().catch(undefined),
  id,
  by: id,
  before: id,
});

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const member = await requireMember('/changes');
  const { what, id: rowId, by: memberId, before } = querySchema.parse(await searchParams);
  const isTeacher = hasRole(member.role, 'teacher');
  const isTechnician = hasRole(member.role, 'technician');
  // A student sees what was changed of an own piece, and what they changed themselves.
  const isOwn =
    !isTeacher &&
    rowId &&
    (await piecesById(db(), [rowId])).some(({ memberId: makerId }) => makerId === member.id);
  const filter = { what, rowId, memberId: isTeacher || isOwn ? memberId : member.id, before };
  const seen = isTechnician ? filter : { ...filter, peopleBy: member.id };
  const [changes, kinds, people] = await Promise.all([
    latestChanges(db(), seen, SHOWN + 1),
    changedKinds(db()),
    isTeacher ? listPeople(db()) : [],
  ]);
  const shown = changes.slice(0, SHOWN);
  const undoable = await Promise.all(
    shown.map(async (one) => one.isUndoable && (await mayPutBack(db(), member, one))),
  );
  return (
    <ChangesView
      {...{ filter, kinds }}
      changes={shown.map((one, i) => ({ ...one, isUndoable: undoable[i]! }))}
      people={people.filter(({ signIn }) => signIn !== null).map((one) => ({ id: one.id, name: one.name }))}
      older={changes.length > SHOWN ? shown.at(-1)!.id : null}
    />
  );
}
