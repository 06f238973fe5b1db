import { dayOf } from '@/core/time';
import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { hasRole } from '@/records/people';
import { listRounds } from '@/records/rounds';
import { RoundsView } from '@/features/rounds/ui/RoundsView';

export const metadata = { title: 'Rounds' };

export default async function Page() {
  const member = await requireMember('/rounds');
  return (
    <RoundsView
      rounds={await listRounds(db())}
      mayChange={hasRole(member.role, 'teacher')}
      today={dayOf(new Date())}
    />
  );
}
