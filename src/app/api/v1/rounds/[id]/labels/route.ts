import { z } from 'zod';
import { refuseReader } from '@/auth';
import { db, nullIfNotFound } from '@/records/platform';
import { roundPage } from '@/records/rounds';
import { labelPdf, PLAIN_SHEET } from '@/features/rounds/model/labelSheet';

const count = (most: number, usual: number) => z.coerce.number().int().min(1).max(most).catch(usual);
const mm = (usual: number) => z.coerce.number().min(0).max(60).catch(usual);

const sheetSchema = z.object({
  columns: count(6, PLAIN_SHEET.columns),
  rows: count(20, PLAIN_SHEET.rows),
  top: mm(PLAIN_SHEET.top),
  left: mm(PLAIN_SHEET.left),
  gap: mm(PLAIN_SHEET.gap),
});

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
  const proto = request.headers.get('x-forwarded-proto') ?? url.protocol.replace(':', '');
  const origin = `${proto}://${request.headers.get('host') ?? url.host}`;
  const labels = page.cells.flatMap((cell) =>
    cell.pieces.map((piece) => ({
      piece: piece.label,
      code: `R${page.round.number} ${cell.label}`,
      words: cell.words,
      url: `${origin}/pieces/${piece.label}`,
    })),
  );
  const pdf = await labelPdf(labels, sheetSchema.parse(Object.fromEntries(url.searchParams)));
  return new Response(new Uint8Array(pdf), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="labels-round-${page.round.number}.pdf"`,
    },
  });
}
