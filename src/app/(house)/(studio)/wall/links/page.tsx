import { redirect } from 'next/navigation';
import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { mayDo } from '@/records/members';
import { listShares } from '@/records/shares';
import { LinksView } from '@/screens/wall/LinksView';
import { wallSearch } from '@/screens/wall/choose';
import { wallOf, wallWords } from '@/screens/wall/wallOf';

export const metadata = { title: 'Share the wall' };

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const member = await memberOfPage();
  if (!mayDo(member.role, 'teacher')) redirect('/wall');
  const params = await searchParams;
  const [wall, links] = await Promise.all([wallOf(db(), params), listShares(db())]);
  return <LinksView links={links} search={wallSearch(wall)} words={wallWords(wall)} />;
}
