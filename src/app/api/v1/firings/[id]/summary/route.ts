import { refuseReader } from '@/auth';
import { db, nullIfNotFound } from '@/records/platform';
import { summaryOf } from '@/records/openings';
import { printFor } from '@/features/shared/server/printFor';
import { summaryPdf } from '@/features/firings/server/summaryPdf';
import { pdfAnswer } from '../../../answers';

/** What a firing gave, as a PDF, to members only. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const refused = await refuseReader('firings/[id]/summary');
  if (refused) return refused;
  const summary = await nullIfNotFound(summaryOf(db(), (await params).id));
  if (!summary) return new Response('This firing is not there.', { status: 404 });
  const name = `${summary.firing.kilnName} ${summary.firing.number}`
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-');
  return pdfAnswer(await summaryPdf(summary, (await printFor()).head), name);
}
