import { dayOf } from '@/core/time';
import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { hasRole } from '@/records/people';
import { roundPage } from '@/records/rounds';
import { RoundView } from '@/features/rounds/ui/RoundView';
import { orNotFound } from '@/features/shared/notFound';

export const metadata = { title: 'Round' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await requireMember('/rounds/[id]');
  const page = await orNotFound(roundPage(db(), (await params).id));
  return <RoundView {...page} mayGlaze={hasRole(member.role, 'student')} today={dayOf(new Date())} />;
}
