import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { watchNow } from '@/records/clinic';
import { WatchView } from '@/features/clinic/ui/WatchView';

export const metadata = { title: 'Defects going up' };

export default async function Page() {
  await requireMember('/clinic/watch');
  return <WatchView series={await watchNow(db())} />;
}
