import { z } from 'zod';
import { refuseReader } from '@/auth';
import { db } from '@/records/platform';
import { printFor } from '@/features/shared/server/printFor';
import { idSchema } from '@/features/shared/schema';
import { handoutPdf } from '@/features/dictionary/server/handoutPdf';
import { pdfAnswer } from '../answers';

const schema = z.object({
  pieces: z
    .string()
    .transform((text) => text.split(','))
    .pipe(z.array(idSchema).min(1).max(24)),
  title: z.string().trim().min(1).max(80).catch('For the class'),
});

/** The entries of the pieces on the bench as a handout. */
export async function GET(request: Request): Promise<Response> {
  const refused = await refuseReader('handout');
  if (refused) return refused;
  const asked = schema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return new Response('pieces: one to 24 ids', { status: 400 });
  const pdf = await handoutPdf(db(), asked.data.pieces, asked.data.title, await printFor());
  return pdfAnswer(pdf, 'handout');
}
