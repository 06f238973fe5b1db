import { z } from 'zod';
import { withMember } from '@/auth';
import { saveLogo } from '@/records/people';
import { db, store } from '@/records/platform';
import { answer, pictureSchema, refusal } from '../upload';

const schema = z.object({ file: pictureSchema });

/** Puts a picture at the head of the studio's prints. Same origin only. */
export async function POST(request: Request): Promise<Response> {
  const refused = await refusal(request);
  if (refused) return refused;
  const form = await request.formData().catch(() => null);
  const outcome = await withMember(
    'saveLogo',
    schema,
    form && Object.fromEntries(form),
    async (member, { file }) => {
      await saveLogo(db(), store(), member.id, Buffer.from(await file.arrayBuffer()));
      return null;
    },
  );
  return answer(outcome);
}
