import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { listFirings } from '@/records/firings';
import { hasRole } from '@/records/people';
import { summaryOf } from '@/records/openings';
import { orNotFound } from '@/features/shared/notFound';
import { SummaryView } from '@/features/firings/ui/SummaryView';

export const metadata = { title: 'What came out' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await requireMember('/firings/[id]/summary');
  const summary = await orNotFound(summaryOf(db(), (await params).id));
  const { cone, atmosphere } = summary.firing;
  const next = (await listFirings(db())).filter(
    (firing) => firing.state === 'loading' && firing.cone === cone && firing.atmosphere === atmosphere,
  );
  return <SummaryView summary={summary} next={next} mayWrite={hasRole(member.role, 'teacher')} />;
}
