import { refuseReader } from '@/auth';
import { idSchema } from '@/features/shared/schema';
import { printed } from '@/features/dictionary/server/jobs';
import { pdfAnswer } from '../../../answers';

/** The dictionary that was written. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const refused = await refuseReader('dictionary/[id]/file');
  if (refused) return refused;
  const id = idSchema.safeParse((await params).id);
  const pdf = id.success ? await printed(id.data) : null;
  if (!pdf) return new Response('There is no such print.', { status: 404 });
  return pdfAnswer(pdf, 'dictionary');
}
