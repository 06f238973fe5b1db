import { z } from 'zod';
import { withMember } from '@/door';
import { db } from '@/records/db';
import { setShelf } from '@/records/loads';
import { storePicture } from '@/records/photos';
import { store } from '@/records/store';
import { idSchema } from '@/screens/pieces/schema';
import { isOtherOrigin, pictureSchema } from '../../../upload';

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
  if (isOtherOrigin(request)) return new Response('Other origin.', { status: 403 });
  const form = await request.formData().catch(() => null);
  const input = form && { ...Object.fromEntries(form), firingId: (await params).id };
  const outcome = await withMember('teacher', schema, input, async (member, { firingId, shelf, file }) => {
    const photoHash = await storePicture(store(), Buffer.from(await file.arrayBuffer()));
    await setShelf(db(), member.id, firingId, shelf, { photoHash });
    return null;
  });
  return Response.json(outcome, { status: outcome.ok ? 200 : 422 });
}
