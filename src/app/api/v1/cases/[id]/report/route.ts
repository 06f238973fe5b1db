import { refuseReader } from '@/auth';
import { caseById } from '@/records/clinic';
import { db, nullIfNotFound, store } from '@/records/platform';
import { jpegAt } from '@/records/pieces';
import { diagnosisOf } from '@/features/clinic/server/diagnosisOf';
import { reportPdf } from '@/features/clinic/server/reportPdf';
import { printFor } from '@/features/shared/server/printFor';
import { readAnswers } from '@/features/clinic/model/answers';
import { pdfAnswer } from '../../../answers';

/** The report of a case as a PDF, to members only. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const refused = await refuseReader('cases/[id]/report');
  if (refused) return refused;
  const found = await nullIfNotFound(caseById(db(), (await params).id));
  if (!found) return new Response('This case is not there.', { status: 404 });
  const told = readAnswers(found.answers);
  const diagnosis = await diagnosisOf(db(), found.defect, { label: found.label, about: found.subject }, told);
  const pdf = await reportPdf(found, diagnosis, told, (hash) => jpegAt(store(), hash, 320), await printFor());
  return pdfAnswer(pdf, `case-${found.number}`);
}
