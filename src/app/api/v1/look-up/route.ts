import { currentMember } from '@/door';
import { db } from '@/records/db';
import { lookUp } from '@/records/lookup';
import { noteWanted } from '@/records/wanted';

/** Instant answers for the look-up field. */
export async function GET(request: Request): Promise<Response> {
  if (!(await currentMember())) return Response.json([], { status: 401 });
  const text = new URL(request.url).searchParams.get('for') ?? '';
  const { answers, read } = await lookUp(db(), text.slice(0, 100));
  if (answers.length === 0) await noteWanted(db(), read);
  return Response.json(answers);
}
