import { z } from 'zod';
import { withMember } from '@/auth';
import { db, store } from '@/records/platform';
import { addPhoto } from '@/records/pieces';
import { idSchema } from '@/features/shared/schema';
import { photoSettingsSchema } from '@/features/shared/photoSchema';
import { answer, refusal, pictureSchema } from '../upload';

const photoSchema = z.object({
  id: idSchema,
  pieceId: idSchema,
  firingId: idSchema.nullable(),
  file: pictureSchema,
  settings: z
    .string()
    .transform((text, check) => {
      try {
        return JSON.parse(text) as unknown;
      } catch {
        check.addIssue({ code: 'custom', message: 'These settings cannot be read.' });
        return z.NEVER;
      }
    })
    .pipe(photoSettingsSchema.partial())
    .optional(),
});

/** Adds a photo to a piece. The id is the client's: sent twice, it is one photo. Same origin only. */
export async function POST(request: Request): Promise<Response> {
  const refused = await refusal(request);
  if (refused) return refused;
  const form = await request.formData().catch(() => null);
  const input = form ? { ...Object.fromEntries(form), firingId: form.get('firingId') || null } : null;
  const outcome = await withMember(
    'addPhoto',
    photoSchema,
    input,
    async (member, { id, pieceId, firingId, file, settings }) => {
      return addPhoto(db(), store(), member.id, {
        id,
        pieceId,
        firingId,
        bytes: Buffer.from(await file.arrayBuffer()),
        ...(settings && { settings }),
      });
    },
    ({ pieceId, firingId }) => ({ pieceIds: [pieceId], firingId }),
  );
  return answer(outcome);
}
