import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { defectCounts } from '@/records/defectCounts';
import { LooksView } from '@/screens/clinic/LooksView';

export const metadata = { title: 'Clinic' };

export default async function Page() {
  await memberOfPage();
  return <LooksView counts={await defectCounts(db())} />;
}
