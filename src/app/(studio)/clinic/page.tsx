import { memberOfPage } from '@/door';
import { listCases } from '@/records/cases';
import { db } from '@/records/db';
import { defectCounts } from '@/records/defectCounts';
import { LooksView } from '@/screens/clinic/LooksView';

export const metadata = { title: 'Clinic' };

export default async function Page() {
  await memberOfPage();
  const [counts, cases] = await Promise.all([defectCounts(db()), listCases(db())]);
  return <LooksView counts={counts} cases={cases} />;
}
