import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { watchNow } from '@/records/watch';
import { WatchView } from '@/screens/clinic/WatchView';

export const metadata = { title: 'Watch' };

export default async function Page() {
  await memberOfPage();
  return <WatchView series={await watchNow(db())} />;
}
