import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { todayIn } from '@/records/today';
import { Today } from '@/screens/today/Today';

export const metadata = { title: 'Today' };

export default async function Page() {
  const member = await memberOfPage();
  const now = new Date();
  return <Today data={await todayIn(db(), now)} now={now} name={member.name} />;
}
