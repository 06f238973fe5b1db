import { currentMember, sealedSession } from '@/auth';
import { db } from '@/records/platform';
import { memberOfSession } from '@/records/people';
import { answerEvents } from '../events';

/** Tells members' open walls when something was written. */
export async function GET(request: Request): Promise<Response> {
  if (!(await currentMember())) return new Response('Sign in first.', { status: 401 });
  const { sessionId } = await sealedSession();
  return answerEvents(request, async () => (await memberOfSession(db(), sessionId!)) !== null);
}
