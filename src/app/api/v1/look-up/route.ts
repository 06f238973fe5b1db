import { currentMember } from '@/auth';
import { db } from '@/records/platform';
import { lookUp, recordFailedLookup } from '@/records/dictionary';

/** Instant answers for the look-up field. */
export async function GET(request: Request): Promise<Response> {
  if (!(await currentMember())) return Response.json([], { status: 401 });
  const text = new URL(request.url).searchParams.get('for') ?? '';
  const { answers, read } = await lookUp(db(), text.slice(0, 100));
  // A note that names two glazes proves nothing of them.
  if (!answers.some(({ kind }) => kind === 'entry')) await recordFailedLookup(db(), read);
  return Response.json(answers);
}
