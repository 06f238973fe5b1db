import { memberOfPage } from '@/auth';
import { db } from '@/records/platform';
import { mayDo } from '@/records/people';
import { queueOf } from '@/records/firings';
import { QueueView } from '@/features/kilns/ui/QueueView';

export const metadata = { title: 'Queue and calendar' };

export default async function Page() {
  const member = await memberOfPage();
  const now = new Date();
  return <QueueView {...await queueOf(db(), now)} now={now} mayPlan={mayDo(member.role, 'teacher')} />;
}
