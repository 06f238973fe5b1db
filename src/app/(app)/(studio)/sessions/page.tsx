import { requireMember, sealedSession } from '@/auth';
import { db } from '@/records/platform';
import { sessionsOf } from '@/records/people';
import { SessionsView } from '@/features/people/ui/SessionsView';

export const metadata = { title: 'Signed-in devices' };

export default async function Page() {
  const member = await requireMember();
  const { sessionId } = await sealedSession();
  return (
    <SessionsView sessions={await sessionsOf(db(), member.id)} current={sessionId ?? null} now={new Date()} />
  );
}
