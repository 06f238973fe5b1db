import { refuseReader } from '@/auth';
import { db, nullIfNotFound } from '@/records/platform';
import { roundPage } from '@/records/rounds';
import { labelPdf, sheetSchema } from '@/features/rounds/model/labelSheet';
import { pdfAnswer, originOf } from '../../../answers';

/** The labels of a round's pieces as a PDF; `columns`, `rows`, `top`, `left` and `gap` (mm) fit other sheets. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const refused = await refuseReader('rounds/[id]/labels');
  if (refused) return refused;
  const url = new URL(request.url);
  const page = await nullIfNotFound(roundPage(db(), (await params).id));
  if (!page) return new Response('This round is not there.', { status: 404 });
  const labels = page.cells.flatMap((cell) =>
    cell.pieces.map((piece) => ({
      piece: piece.label,
      code: `R${page.round.number} ${cell.label}`,
      words: cell.words,
      url: `${originOf(request)}/pieces/${piece.label}`,
    })),
  );
  const pdf = await labelPdf(labels, sheetSchema.parse(Object.fromEntries(url.searchParams)));
  return pdfAnswer(pdf, `labels-round-${page.round.number}`);
}
