import { memberOfPage } from '@/door';
import { listAsked } from '@/records/asked';
import { db } from '@/records/db';
import { mayDo } from '@/records/members';
import { todayIn } from '@/records/today';
import { watchNow } from '@/records/watch';
import { OnTheRise } from '@/screens/today/OnTheRise';
import { Today } from '@/screens/today/Today';

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
