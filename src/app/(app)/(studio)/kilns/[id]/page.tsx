import { requireMember } from '@/auth';
import { NextTime } from '@/features/reminders';
import { remindersOf } from '@/records/reminders';
import { db } from '@/records/platform';
import { kilnPage, listProgrammes } from '@/records/firings';
import { hasRole } from '@/records/people';
import { KilnView } from '@/features/kilns/ui/KilnView';
import { orNotFound } from '@/features/shared/notFound';

export const metadata = { title: 'Kiln' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await requireMember('/kilns/[id]');
  const about = { about: 'kiln', aboutId: (await params).id } as const;
  const [page, programmes, reminders] = await Promise.all([
    orNotFound(kilnPage(db(), about.aboutId)),
    listProgrammes(db()),
    remindersOf(db(), [about]),
  ]);
  return (
    <KilnView
      {...page}
      programmes={programmes}
      nextTime={<NextTime reminders={reminders} about={about} mayWrite={hasRole(member.role, 'student')} />}
      mayPlan={hasRole(member.role, 'teacher')}
      mayMend={hasRole(member.role, 'technician')}
    />
  );
}
