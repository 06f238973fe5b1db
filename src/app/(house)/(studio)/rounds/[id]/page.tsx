import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { mayDo } from '@/records/members';
import { roundPage } from '@/records/rounds';
import { RoundView } from '@/screens/rounds/RoundView';
import { orNotFound } from '@/screens/notFound';

export const metadata = { title: 'Round' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await memberOfPage();
  const page = await orNotFound(roundPage(db(), (await params).id));
  return <RoundView {...page} mayGlaze={mayDo(member.role, 'student')} today={new Date()} />;
}
