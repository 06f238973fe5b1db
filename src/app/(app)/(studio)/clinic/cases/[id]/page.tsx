import { requireMember } from '@/auth';
import { caseById } from '@/records/clinic';
import { db } from '@/records/platform';
import { listRounds } from '@/records/rounds';
import { diagnosisOf } from '@/features/clinic/server/diagnosisOf';
import { CasePanel } from '@/features/clinic/ui/CasePanel';
import { DiagnosisView } from '@/features/clinic/ui/DiagnosisView';
import { contradictionsOf } from '@/features/clinic/model/contradictions';
import { readAnswers, writeAnswers } from '@/features/clinic/model/answers';
import { orNotFound } from '@/features/shared/notFound';

export const metadata = { title: 'Case' };

interface Props {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ told?: string }>;
}

export default async function Page({ params, searchParams }: Props) {
  await requireMember('/clinic/cases/[id]');
  const found = await orNotFound(caseById(db(), (await params).id));
  const told = readAnswers((await searchParams).told ?? found.answers);
  const [diagnosis, rounds] = await Promise.all([
    diagnosisOf(db(), found.defect, { label: found.label, about: found.subject }, told),
    listRounds(db()),
  ]);
  return (
    <DiagnosisView {...diagnosis} told={told} at={{ path: `/clinic/cases/${found.id}` }}>
      <CasePanel
        found={found}
        told={writeAnswers(told)}
        first={diagnosis.first}
        contradictions={found.closedAt ? contradictionsOf(found, diagnosis.forward) : []}
        rounds={rounds.map(({ id, name }) => ({ id, name }))}
      />
    </DiagnosisView>
  );
}
