import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { rank } from '@/core/clinic';
import { defectOf, naturalExperiments } from '@/core/evidence';
import { memberOfPage } from '@/door';
import { doneZones, pieceCase, piecesWith } from '@/records/clinic';
import { db } from '@/records/db';
import { NotThere } from '@/records/faults';
import { DiagnosisView } from '@/screens/clinic/DiagnosisView';
import { concerning } from '@/screens/clinic/concerning';
import { readTold, toldEvidence } from '@/screens/clinic/told';
import { testAddress } from '@/screens/clinic/testAddress';

interface Props {
  params: Promise<{ defect: string }>;
  searchParams: Promise<{ piece?: string; told?: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `Why ${defectOf((await params).defect)?.name ?? ''}` };
}

export default async function Page({ params, searchParams }: Props) {
  await memberOfPage();
  const defect = defectOf((await params).defect) ?? notFound();
  const { piece, told: text } = await searchParams;
  const told = readTold(text);
  const [found, zones, pieces] = await Promise.all([
    piece
      ? pieceCase(db(), piece, defect.id).catch((error: unknown) => {
          if (error instanceof NotThere) return null;
          throw error;
        })
      : null,
    doneZones(db(), defect.id),
    piecesWith(db(), defect.id),
  ]);
  const { causes } = rank(defect.id, { ...found?.evidence, ...toldEvidence(told) });
  return (
    <DiagnosisView
      defect={defect}
      told={told}
      found={found}
      experiments={concerning(naturalExperiments(zones), found)}
      pieces={pieces}
      testAt={testAddress(causes[0]!.cause.id, found)}
    />
  );
}
