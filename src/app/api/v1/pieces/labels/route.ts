import { formWord } from '@/features/shared/pieceWords';
import { z } from 'zod';
import { refuseReader } from '@/auth';
import { piecesByLabel } from '@/records/pieces';
import { db } from '@/records/platform';
import { labelPdf, sheetSchema } from '@/features/rounds/model/labelSheet';
import { pieceWords } from '@/features/shared/pieceWords';
import { originOf, pdfAnswer } from '../../answers';

const MOST = 240;

const labelsSchema = z
  .string()
  .transform((text) => text.split(',').filter(Boolean))
  .pipe(z.array(z.string().max(24)).min(1).max(MOST));

/** Labels of pieces as a PDF: `numbers=SW-0001,SW-0002`, on the same sheets as those of a round. */
export async function GET(request: Request): Promise<Response> {
  const refused = await refuseReader('pieces/labels');
  if (refused) return refused;
  const url = new URL(request.url);
  const numbers = labelsSchema.safeParse(url.searchParams.get('numbers') ?? '');
  if (!numbers.success) return new Response(`numbers: one to ${MOST}, with commas between`, { status: 400 });
  const pieces = await piecesByLabel(db(), numbers.data);
  if (pieces.length === 0) return new Response('None of these pieces is there.', { status: 404 });
  const labels = pieces.map((piece) => ({
    piece: piece.label,
    code: formWord(piece),
    words: piece.isDescribed ? `${pieceWords(piece)}, on ${piece.body}` : pieceWords(piece),
    url: `${originOf(request)}/pieces/${piece.label}`,
  }));
  const pdf = await labelPdf(labels, sheetSchema.parse(Object.fromEntries(url.searchParams)));
  return pdfAnswer(pdf, `labels-${pieces[0]!.label}`);
}
