import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { listFirings, listKilns } from '@/records/firings';
import { mayDo } from '@/records/members';
import { KilnsView } from '@/screens/firings/KilnsView';

export const metadata = { title: 'Kilns' };

export default async function Page({ searchParams }: { searchParams: Promise<{ at?: string }> }) {
  const member = await memberOfPage();
  const [kilns, firings] = await Promise.all([listKilns(db()), listFirings(db(), { limit: 200 })]);
  return (
    <KilnsView
      kilns={kilns}
      firings={firings}
      mayPlan={mayDo(member.role, 'teacher')}
      adding={(await searchParams).at === 'new'}
    />
  );
}
