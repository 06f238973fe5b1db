import { withMember } from '@/auth';
import { db, store } from '@/records/platform';
import { writeOpening } from '@/records/openings';
import { openingWriteSchema } from '@/features/opening/schema';
import { answer, refusal } from '../upload';

/** One write of an opening, done once however often it is sent. Same origin only. */
export async function POST(request: Request): Promise<Response> {
  const refused = await refusal(request);
  if (refused) return refused;
  const input: unknown = await request.json().catch(() => null);
  return answer(
    await withMember('student', openingWriteSchema, input, (member, asked) =>
      writeOpening(db(), store(), member.id, asked),
    ),
  );
}
