import { requireMember, sealedSession } from '@/auth';
import { db } from '@/records/platform';
import { accountOf, sessionsOf } from '@/records/people';
import { AccountView } from '@/features/people/ui/AccountView';

export const metadata = { title: 'Account' };

export default async function Page() {
  const member = await requireMember();
  const { sessionId } = await sealedSession();
  const [account, sessions] = await Promise.all([accountOf(db(), member.id), sessionsOf(db(), member.id)]);
  return <AccountView account={account} sessions={sessions} current={sessionId ?? null} now={new Date()} />;
}
