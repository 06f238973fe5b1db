import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { mayDo } from '@/records/members';
import { queueOf } from '@/records/queue';
import { QueueView } from '@/screens/queue/QueueView';

export const metadata = { title: 'Queue and calendar' };

export default async function Page() {
  const member = await memberOfPage();
  const now = new Date();
  return <QueueView {...await queueOf(db(), now)} now={now} mayPlan={mayDo(member.role, 'teacher')} />;
}
