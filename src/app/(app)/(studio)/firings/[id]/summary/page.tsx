import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { listFirings } from '@/records/firings';
import { groupsSeenBy, hasRole } from '@/records/people';
import { summaryOf } from '@/records/openings';
import { orNotFound } from '@/features/shared/notFound';
import { SummaryView } from '@/features/firings/ui/SummaryView';

export const metadata = { title: 'What came out' };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ group?: string }>;
}

export default async function Page({ params, searchParams }: Props) {
  const member = await requireMember('/firings/[id]/summary');
  const { group: groupId } = await searchParams;
  const group = groupId ? (await groupsSeenBy(db(), member)).find(({ id }) => id === groupId) : undefined;
  const summary = await orNotFound(summaryOf(db(), (await params).id, group?.id));
  const { cone, atmosphere } = summary.firing;
  const next = (await listFirings(db())).filter(
    (firing) => firing.state === 'loading' && firing.cone === cone && firing.atmosphere === atmosphere,
  );
  return (
    <SummaryView
      group={group?.name ?? null}
      summary={summary}
      next={next}
      mayWrite={hasRole(member.role, 'teacher')}
    />
  );
}
