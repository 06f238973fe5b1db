import { refuseReader, sealedSession } from '@/auth';
import { db } from '@/records/platform';
import { memberOfSession } from '@/records/people';
import { answerEvents } from '../events';

/** Tells members' open walls when something was written. */
export async function GET(request: Request): Promise<Response> {
  const refused = await refuseReader('live');
  if (refused) return refused;
  const { sessionId } = await sealedSession();
  return answerEvents(request, async () => (await memberOfSession(db(), sessionId!)) !== null);
}
