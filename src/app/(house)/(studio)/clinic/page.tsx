import { memberOfPage } from '@/door';
import { listCases } from '@/records/cases';
import { db } from '@/records/db';
import { defectCounts } from '@/records/defectCounts';
import { LooksView } from '@/screens/clinic/LooksView';

export const metadata = { title: 'Clinic' };

interface Props {
  searchParams: Promise<{ piece?: string; about?: string }>;
}

export default async function Page({ searchParams }: Props) {
  await memberOfPage();
  const { piece, about } = await searchParams;
  const [counts, cases] = await Promise.all([defectCounts(db()), listCases(db())]);
  return <LooksView counts={counts} cases={cases} subject={{ label: piece, about }} />;
}
