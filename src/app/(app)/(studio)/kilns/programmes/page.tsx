import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { kilnHabits, reachedBy, listKilns, listProgrammes } from '@/records/firings';
import { hasRole } from '@/records/people';
import { ProgrammesView } from '@/features/kilns/ui/ProgrammesView';

export const metadata = { title: 'Programmes' };

export default async function Page() {
  const member = await requireMember('/kilns/programmes');
  const [programmes, kilns] = await Promise.all([listProgrammes(db()), listKilns(db())]);
  const habits = await kilnHabits(db(), kilns);
  const reached = Object.fromEntries(
    await Promise.all(programmes.map(async ({ id }) => [id, await reachedBy(db(), id)] as const)),
  );
  return (
    <ProgrammesView {...{ programmes, kilns, habits, reached }} mayWrite={hasRole(member.role, 'teacher')} />
  );
}
