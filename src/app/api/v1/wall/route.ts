import { currentMember } from '@/door';
import { db } from '@/records/db';
import { wallOf } from '@/screens/wall/wallOf';

/** The entries of a wall as its address asks for it. */
export async function GET(request: Request): Promise<Response> {
  if (!(await currentMember())) return new Response('Sign in first.', { status: 401 });
  const { choice, entries } = await wallOf(db(), Object.fromEntries(new URL(request.url).searchParams));
  return Response.json({ choice, entries });
}
