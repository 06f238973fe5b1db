import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { roundPage } from '@/records/rounds';
import { LabelsView } from '@/features/rounds/ui/LabelsView';
import { orNotFound } from '@/features/shared/notFound';

export const metadata = { title: 'Labels' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  await requireMember('/rounds/[id]/labels');
  const page = await orNotFound(roundPage(db(), (await params).id));
  return <LabelsView {...page} />;
}
