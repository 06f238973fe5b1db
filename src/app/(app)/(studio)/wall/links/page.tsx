import { redirect } from 'next/navigation';
import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { hasRole } from '@/records/people';
import { listShares } from '@/records/dictionary';
import { LinksView } from '@/features/wall/ui/LinksView';
import { wallSearch } from '@/features/wall/model/choose';
import { wallOf, wallWords } from '@/features/wall/server/wallOf';

export const metadata = { title: 'Share the wall' };

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const member = await requireMember('/wall/links');
  if (!hasRole(member.role, 'teacher')) redirect('/wall');
  const params = await searchParams;
  const [wall, links] = await Promise.all([wallOf(db(), params), listShares(db())]);
  return <LinksView links={links} search={wallSearch(wall)} words={wallWords(wall)} />;
}
