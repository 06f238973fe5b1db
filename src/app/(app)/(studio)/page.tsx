import { memberOfPage } from '@/auth';
import { listAsked } from '@/records/dictionary';
import { db } from '@/records/platform';
import { mayDo } from '@/records/people';
import { todayIn } from '@/records/rounds';
import { watchNow } from '@/records/clinic';
import { OnTheRise } from '@/features/today/ui/OnTheRise';
import { Today } from '@/features/today/ui/Today';

/** Comes when it is reckoned; the page does not wait for it. */
async function Rises() {
  return <OnTheRise series={await watchNow(db())} />;
}

export const metadata = { title: 'Today' };

export default async function Page() {
  const member = await memberOfPage();
  const now = new Date();
  const [data, wishes] = await Promise.all([
    todayIn(db(), now),
    listAsked(db(), mayDo(member.role, 'teacher') ? null : member.id),
  ]);
  return <Today data={data} rises={<Rises />} wishes={wishes} now={now} member={member} />;
}
