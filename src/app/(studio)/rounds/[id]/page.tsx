import { notFound } from 'next/navigation';
import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { NotThere } from '@/records/faults';
import { mayDo } from '@/records/members';
import { roundPage } from '@/records/rounds';
import { RoundView } from '@/screens/rounds/RoundView';

export const metadata = { title: 'Round' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await memberOfPage();
  const page = await roundPage(db(), (await params).id).catch((error) => {
    if (error instanceof NotThere) notFound();
    throw error;
  });
  return <RoundView {...page} mayGlaze={mayDo(member.role, 'student')} today={new Date()} />;
}
