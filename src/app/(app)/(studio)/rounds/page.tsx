import { memberOfPage } from '@/auth';
import { db } from '@/records/platform';
import { mayDo } from '@/records/people';
import { listRounds } from '@/records/rounds';
import { RoundsView } from '@/features/rounds/ui/RoundsView';

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
