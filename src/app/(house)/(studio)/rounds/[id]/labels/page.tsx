import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { roundPage } from '@/records/rounds';
import { LabelsView } from '@/screens/rounds/LabelsView';
import { orNotFound } from '@/screens/notFound';

export const metadata = { title: 'Labels' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  await memberOfPage();
  const page = await orNotFound(roundPage(db(), (await params).id));
  return <LabelsView {...page} />;
}
