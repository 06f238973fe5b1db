import { z } from 'zod';
import { withMember } from '@/auth';
import { db, store } from '@/records/platform';
import { setShelf } from '@/records/firings';
import { storePicture } from '@/records/pieces';
import { idSchema } from '@/features/shared/schema';
import { refusal, pictureSchema } from '../../../upload';

const schema = z.object({
  firingId: idSchema,
  shelf: z.coerce.number().int().min(1).max(30),
  file: pictureSchema,
});

/** Keeps the photo of a loaded shelf. Same origin only. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const refused = await refusal(request);
  if (refused) return refused;
  const form = await request.formData().catch(() => null);
  const input = form && { ...Object.fromEntries(form), firingId: (await params).id };
  const outcome = await withMember(
    'saveShelfPhoto',
    schema,
    input,
    async (member, { firingId, shelf, file }) => {
      const photoHash = await storePicture(store(), Buffer.from(await file.arrayBuffer()));
      await setShelf(db(), member.id, firingId, shelf, { photoHash });
      return null;
    },
  );
  return Response.json(outcome, { status: outcome.ok ? 200 : 422 });
}
