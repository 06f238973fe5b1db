import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { hasRole } from '@/records/people';
import { queueOf } from '@/records/firings';
import { QueueView } from '@/features/kilns/ui/QueueView';

export const metadata = { title: 'Queue and calendar' };

export default async function Page() {
  const member = await requireMember('/kilns/queue');
  const now = new Date();
  return <QueueView {...await queueOf(db(), now)} now={now} mayPlan={hasRole(member.role, 'teacher')} />;
}
