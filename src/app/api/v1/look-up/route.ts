import { currentMember } from '@/door';
import { db } from '@/records/db';
import { lookUp } from '@/records/lookup';

/** Instant answers for the look-up field. */
export async function GET(request: Request): Promise<Response> {
  if (!(await currentMember())) return Response.json([], { status: 401 });
  const text = new URL(request.url).searchParams.get('for') ?? '';
  return Response.json(await lookUp(db(), text.slice(0, 100)));
}
