import { currentMember } from '@/auth';
import { db } from '@/records/platform';
import { lookUp, recordFailedLookup } from '@/records/dictionary';

/** Instant answers for the look-up field. */
export async function GET(request: Request): Promise<Response> {
  if (!(await currentMember())) return Response.json([], { status: 401 });
  const text = new URL(request.url).searchParams.get('for') ?? '';
  const { answers, read } = await lookUp(db(), text.slice(0, 100));
  if (answers.length === 0) await recordFailedLookup(db(), read);
  return Response.json(answers);
}
