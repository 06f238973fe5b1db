import { requireMember } from '@/auth';
import { listRequests } from '@/records/dictionary';
import { db } from '@/records/platform';
import { hasRole } from '@/records/people';
import { todayIn } from '@/records/rounds';
import { watchNow } from '@/records/clinic';
import { DefectsGoingUp } from '@/features/today/ui/DefectsGoingUp';
import { Today } from '@/features/today/ui/Today';

/** Comes when it is calculated; the page does not wait for it. */
async function Rises() {
  return <DefectsGoingUp series={await watchNow(db())} />;
}

export const metadata = { title: 'Today' };

export default async function Page() {
  const member = await requireMember('/');
  const now = new Date();
  const [data, requests] = await Promise.all([
    todayIn(db(), now),
    listRequests(db(), hasRole(member.role, 'teacher') ? null : member.id),
  ]);
  return <Today data={data} rises={<Rises />} requests={requests} now={now} member={member} />;
}
