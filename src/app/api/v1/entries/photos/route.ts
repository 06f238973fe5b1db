import { z } from 'zod';
import { refuseReader } from '@/auth';
import { db } from '@/records/platform';
import { tilesOf } from '@/records/dictionary';
import { idSchema } from '@/features/shared/schema';

const schema = z
  .string()
  .transform((text) => text.split(','))
  .pipe(z.array(idSchema).max(400));

/** A photo of a tile that proves each of some entries, by entry id; those without one are left out. */
export async function GET(request: Request): Promise<Response> {
  const refused = await refuseReader('entries/photos');
  if (refused) return refused;
  const asked = schema.safeParse(new URL(request.url).searchParams.get('of') ?? '');
  if (!asked.success) return new Response('of: ids of entries, at most 400', { status: 400 });
  return Response.json(Object.fromEntries(await tilesOf(db(), asked.data)));
}
