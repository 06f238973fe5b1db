import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { defectOf, caseSubjectKey } from '@/core/vocabulary';
import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { diagnosisOf } from '@/features/clinic/server/diagnosisOf';
import { DiagnosisView } from '@/features/clinic/ui/DiagnosisView';
import { OpenCase } from '@/features/clinic/ui/OpenCase';
import { readAnswers, writeAnswers } from '@/features/clinic/model/answers';

interface Props {
  params: Promise<{ defect: string }>;
  searchParams: Promise<{ piece?: string; about?: string; told?: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `Why ${defectOf((await params).defect)?.name ?? ''}` };
}

export default async function Page({ params, searchParams }: Props) {
  await requireMember('/clinic/[defect]');
  const defect = defectOf((await params).defect) ?? notFound();
  const { piece = null, about = null, told: text } = await searchParams;
  const told = readAnswers(text);
  const diagnosis = await diagnosisOf(db(), defect.id, { label: piece, about }, told);
  return (
    <DiagnosisView {...diagnosis} told={told} at={{ path: `/clinic/${defect.id}`, label: piece, about }}>
      <OpenCase
        defect={defect.id}
        pieceId={diagnosis.found?.piece.id ?? null}
        subject={diagnosis.about && caseSubjectKey(diagnosis.about)}
        answers={writeAnswers(told)}
      />
    </DiagnosisView>
  );
}
