import { memberOfPage } from '@/door';
import { caseById } from '@/records/cases';
import { db } from '@/records/db';
import { listRounds } from '@/records/rounds';
import { diagnosisOf } from '@/screens/clinic/diagnosisOf';
import { CasePanel } from '@/screens/clinic/CasePanel';
import { DiagnosisView } from '@/screens/clinic/DiagnosisView';
import { readTold, writeTold } from '@/screens/clinic/told';
import { orNotFound } from '@/screens/notFound';

export const metadata = { title: 'Case' };

interface Props {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ told?: string }>;
}

export default async function Page({ params, searchParams }: Props) {
  await memberOfPage();
  const found = await orNotFound(caseById(db(), (await params).id));
  const told = readTold((await searchParams).told ?? found.told);
  const [diagnosis, rounds] = await Promise.all([
    diagnosisOf(db(), found.defect, { label: found.label, about: found.about }, told),
    listRounds(db()),
  ]);
  return (
    <DiagnosisView {...diagnosis} told={told} at={{ path: `/clinic/cases/${found.id}` }}>
      <CasePanel
        found={found}
        told={writeTold(told)}
        first={diagnosis.first}
        rounds={rounds.map(({ id, name }) => ({ id, name }))}
      />
    </DiagnosisView>
  );
}
