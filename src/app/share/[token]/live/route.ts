import { answerEvents } from '@/app/api/v1/events';
import { db } from '@/records/platform';
import { shareBy } from '@/records/dictionary';
import { visit } from '@/features/wall/server/visit';

/** Tells visitors' open pages when the wall changed, and when their link ended. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ token: string }> },
): Promise<Response> {
  const { token } = await params;
  if (!(await visit(token))) return new Response(null, { status: 404 });
  return answerEvents(request, async () => (await shareBy(db(), token)) !== null);
}
