import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { mayDo } from '@/records/members';
import { listRounds } from '@/records/rounds';
import { RoundsView } from '@/screens/rounds/RoundsView';

export const metadata = { title: 'Rounds' };

export default async function Page() {
  const member = await memberOfPage();
  return (
    <RoundsView
      rounds={await listRounds(db())}
      mayChange={mayDo(member.role, 'teacher')}
      today={new Date()}
    />
  );
}
