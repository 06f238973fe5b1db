import { refuseReader } from '@/auth';
import { db, nullIfNotFound } from '@/records/platform';
import { firingWithKiln, logOf } from '@/records/firings';

/** The log of a firing as its page draws it, and the state it is in. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const refused = await refuseReader('firings/[id]/log');
  if (refused) return refused;
  const found = await nullIfNotFound(firingWithKiln(db(), (await params).id));
  if (!found) return new Response('This firing is not there.', { status: 404 });
  const log = await logOf(db(), found.firing, found.kiln, new Date());
  return Response.json({ state: found.firing.state, log }, { headers: { 'Cache-Control': 'no-store' } });
}
