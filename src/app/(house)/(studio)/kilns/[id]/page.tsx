import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { kilnPage } from '@/records/kilnPage';
import { mayDo } from '@/records/members';
import { listProgrammes } from '@/records/programmes';
import { KilnView } from '@/screens/kiln/KilnView';
import { orNotFound } from '@/screens/notFound';

export const metadata = { title: 'Kiln' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await memberOfPage();
  const [page, programmes] = await Promise.all([
    orNotFound(kilnPage(db(), (await params).id)),
    listProgrammes(db()),
  ]);
  return (
    <KilnView
      {...page}
      programmes={programmes}
      mayPlan={mayDo(member.role, 'teacher')}
      mayMend={mayDo(member.role, 'technician')}
    />
  );
}
