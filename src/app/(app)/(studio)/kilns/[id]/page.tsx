import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { kilnPage, listProgrammes } from '@/records/firings';
import { hasRole } from '@/records/people';
import { KilnView } from '@/features/kilns/ui/KilnView';
import { orNotFound } from '@/features/shared/notFound';

export const metadata = { title: 'Kiln' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await requireMember('/kilns/[id]');
  const [page, programmes] = await Promise.all([
    orNotFound(kilnPage(db(), (await params).id)),
    listProgrammes(db()),
  ]);
  return (
    <KilnView
      {...page}
      programmes={programmes}
      mayPlan={hasRole(member.role, 'teacher')}
      mayMend={hasRole(member.role, 'technician')}
    />
  );
}
