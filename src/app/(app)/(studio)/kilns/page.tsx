import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { listFirings, listKilns, listProgrammes } from '@/records/firings';
import { hasRole } from '@/records/people';
import { KilnsView } from '@/features/kilns/ui/KilnsView';

export const metadata = { title: 'Kilns' };

export default async function Page({ searchParams }: { searchParams: Promise<{ at?: string }> }) {
  const member = await requireMember('/kilns');
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
      mayPlan={hasRole(member.role, 'teacher')}
      mayAdd={hasRole(member.role, 'technician')}
      adding={(await searchParams).at === 'new'}
    />
  );
}
