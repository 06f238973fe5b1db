import { requireMember } from '@/auth';
import { listCases } from '@/records/clinic';
import { db } from '@/records/platform';
import { defectCounts } from '@/records/dictionary';
import { LooksView } from '@/features/clinic/ui/LooksView';

export const metadata = { title: 'Clinic' };

interface Props {
  searchParams: Promise<{ piece?: string; about?: string }>;
}

export default async function Page({ searchParams }: Props) {
  await requireMember('/clinic');
  const { piece, about } = await searchParams;
  const [counts, cases] = await Promise.all([defectCounts(db()), listCases(db())]);
  return <LooksView counts={counts} cases={cases} subject={{ label: piece, about }} />;
}
