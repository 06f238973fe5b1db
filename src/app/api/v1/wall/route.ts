import { currentMember, unlessAsBefore } from '@/door';
import { db } from '@/records/db';
import { wallOf } from '@/screens/wall/wallOf';

/** The entries of a wall as its address asks for it, sent again only after a write. */
export async function GET(request: Request): Promise<Response> {
  if (!(await currentMember())) return new Response('Sign in first.', { status: 401 });
  return unlessAsBefore(db(), request, async () => {
    const { choice, text } = await wallOf(db(), Object.fromEntries(new URL(request.url).searchParams));
    return { choice, entries: text };
  });
}
