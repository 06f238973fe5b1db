import { db } from '@/records/platform';

export const dynamic = 'force-dynamic';

/** Whether the server and its database answer; for the start script and for monitors. */
export async function GET(): Promise<Response> {
  try {
    await db().raw('select 1');
    return Response.json({ ok: true });
  } catch {
    return Response.json({ ok: false, why: 'The database does not answer.' }, { status: 503 });
  }
}
