import { z } from 'zod';
import { refuseReader } from '@/auth';
import { db, nullIfNotFound } from '@/records/platform';
import { studioBook, recipesInUse } from '@/records/materials';
import { roundPage } from '@/records/rounds';
import { printFor } from '@/features/shared/server/printFor';
import { benchPdf } from '@/features/rounds/server/benchPdf';
import { USUAL_GRAVITY } from '@/features/rounds/model/pouring';
import { pdfAnswer } from '../../../answers';

const schema = z.object({
  way: z.enum(['by weight', 'by volume']).catch('by weight'),
  grams: z.coerce.number().positive().max(100_000).catch(100),
  ml: z.coerce.number().positive().max(10_000).catch(60),
});
const gravity = z.coerce.number().gt(1).lt(2.5).catch(USUAL_GRAVITY);

/** The bench sheet of a round as a PDF, by weight or by volume as the page has it. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const refused = await refuseReader('rounds/[id]/bench');
  if (refused) return refused;
  const page = await nullIfNotFound(roundPage(db(), (await params).id));
  if (!page) return new Response('This round is not there.', { status: 404 });
  const asked = new URL(request.url).searchParams;
  const [book, recipes] = await Promise.all([studioBook(db()), recipesInUse(db())]);
  const inIt = new Set(page.cells.flatMap((cell) => Object.keys(cell.parts)));
  const pdf = await benchPdf(
    page.round,
    page.cells,
    recipes.filter(({ glazeId }) => inIt.has(glazeId)),
    book,
    {
      ...schema.parse(Object.fromEntries(asked)),
      gravityOf: (id) => gravity.parse(asked.get(`gravity.${id}`) ?? undefined),
    },
    await printFor(),
  );
  return pdfAnswer(pdf, `bench-round-${page.round.number}`);
}
