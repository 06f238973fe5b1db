import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { todayIn } from '@/records/today';
import { Today } from '@/screens/today/Today';

export const metadata = { title: 'Today' };

export default async function Page() {
  const member = await memberOfPage();
  return <Today data={await todayIn(db())} now={new Date()} name={member.name} />;
}
