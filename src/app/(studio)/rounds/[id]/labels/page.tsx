import { notFound } from 'next/navigation';
import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { NotThere } from '@/records/faults';
import { roundPage } from '@/records/rounds';
import { LabelsView } from '@/screens/rounds/LabelsView';

export const metadata = { title: 'Labels' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  await memberOfPage();
  const page = await roundPage(db(), (await params).id).catch((error) => {
    if (error instanceof NotThere) notFound();
    throw error;
  });
  return <LabelsView {...page} />;
}
