import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { defectOf } from '@/core/evidence';
import { requireMember } from '@/auth';
import { caseSubjectKey } from '@/core/clinic';
import { db } from '@/records/platform';
import { diagnosisOf } from '@/features/clinic/server/diagnosisOf';
import { DiagnosisView } from '@/features/clinic/ui/DiagnosisView';
import { OpenCase } from '@/features/clinic/ui/OpenCase';
import { readTold, writeTold } from '@/features/clinic/model/told';

interface Props {
  params: Promise<{ defect: string }>;
  searchParams: Promise<{ piece?: string; about?: string; told?: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `Why ${defectOf((await params).defect)?.name ?? ''}` };
}

export default async function Page({ params, searchParams }: Props) {
  await requireMember();
  const defect = defectOf((await params).defect) ?? notFound();
  const { piece = null, about = null, told: text } = await searchParams;
  const told = readTold(text);
  const diagnosis = await diagnosisOf(db(), defect.id, { label: piece, about }, told);
  return (
    <DiagnosisView {...diagnosis} told={told} at={{ path: `/clinic/${defect.id}`, label: piece, about }}>
      <OpenCase
        defect={defect.id}
        pieceId={diagnosis.found?.piece.id ?? null}
        about={diagnosis.about && caseSubjectKey(diagnosis.about)}
        told={writeTold(told)}
      />
    </DiagnosisView>
  );
}
