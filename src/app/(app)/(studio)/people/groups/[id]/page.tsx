import { notFound } from 'next/navigation';
import { requireMember } from '@/auth';
import { groupModel } from '@/features/people/server/groupModel';
import { GroupView } from '@/features/people/ui/GroupView';

export const metadata = { title: 'Group' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await requireMember('/people/groups/[id]');
  const model = (await groupModel(member, (await params).id, new Date())) ?? notFound();
  return <GroupView {...model} />;
}
