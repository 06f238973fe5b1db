import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { kilnHabits, reachedBy } from '@/records/kilnPage';
import { listKilns } from '@/records/kilns';
import { mayDo } from '@/records/members';
import { listProgrammes } from '@/records/programmes';
import { ProgrammesView } from '@/screens/programmes/ProgrammesView';

export const metadata = { title: 'Programmes' };

export default async function Page() {
  const member = await memberOfPage();
  const [programmes, kilns] = await Promise.all([listProgrammes(db()), listKilns(db())]);
  const habits = await kilnHabits(db(), kilns);
  const reached = Object.fromEntries(
    await Promise.all(programmes.map(async ({ id }) => [id, await reachedBy(db(), id)] as const)),
  );
  return (
    <ProgrammesView {...{ programmes, kilns, habits, reached }} mayWrite={mayDo(member.role, 'teacher')} />
  );
}
