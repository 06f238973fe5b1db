import { refuseReader } from '@/auth';
import { db, NotFound } from '@/records/platform';
import { openingOf } from '@/records/openings';

/** An opening as it stands now: what other devices have read in the meantime. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const refused = await refuseReader('firings/[id]/opening');
  if (refused) return refused;
  try {
    return Response.json(await openingOf(db(), (await params).id));
  } catch (error) {
    if (error instanceof NotFound) return new Response(error.message, { status: 404 });
    throw error;
  }
}
