import { currentMember } from '@/auth';
import { db } from '@/records/platform';
import { hadInHand, lookUp, recordFailedLookup } from '@/records/dictionary';

/** Instant answers for the look-up field; before anything is typed, the pieces that one had in hand last. */
export async function GET(request: Request): Promise<Response> {
  const member = await currentMember();
  if (!member) return Response.json([], { status: 401 });
  const text = new URL(request.url).searchParams.get('for') ?? '';
  if (!text.trim()) return Response.json(await hadInHand(db(), member.id, new Date()));
  const { answers, read } = await lookUp(db(), text.slice(0, 100));
  // A note that names two glazes proves nothing of them.
  if (!answers.some(({ kind }) => kind === 'entry')) await recordFailedLookup(db(), read);
  return Response.json(answers);
}
