import { z } from 'zod';
import { requireMember } from '@/auth';
import { hasRole, listPeople } from '@/records/people';
import { changedKinds, db, latestChanges } from '@/records/platform';
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
  const filter = { what, rowId, memberId, before };
  const isTechnician = hasRole(member.role, 'technician');
  const seen = isTechnician ? filter : { ...filter, peopleBy: member.id };
  const [changes, kinds, people] = await Promise.all([
    latestChanges(db(), seen, SHOWN + 1),
    changedKinds(db()),
    listPeople(db()),
  ]);
  const shown = changes.slice(0, SHOWN);
  return (
    <ChangesView
      {...{ changes: shown, filter, kinds }}
      people={people.filter(({ signIn }) => signIn !== null).map((one) => ({ id: one.id, name: one.name }))}
      older={changes.length > SHOWN ? shown.at(-1)!.id : null}
      me={{ id: member.id, isTechnician }}
    />
  );
}
