import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { listFirings } from '@/records/firings';
import { listKilns } from '@/records/kilns';
import { listProgrammes } from '@/records/programmes';
import { mayDo } from '@/records/members';
import { KilnsView } from '@/screens/firings/KilnsView';

export const metadata = { title: 'Kilns' };

export default async function Page({ searchParams }: { searchParams: Promise<{ at?: string }> }) {
  const member = await memberOfPage();
  const [kilns, firings, programmes] = await Promise.all([
    listKilns(db()),
    listFirings(db(), { limit: 200 }),
    listProgrammes(db()),
  ]);
  return (
    <KilnsView
      kilns={kilns}
      firings={firings}
      programmes={programmes}
      mayPlan={mayDo(member.role, 'teacher')}
      adding={(await searchParams).at === 'new'}
    />
  );
}
