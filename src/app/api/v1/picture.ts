import { z } from 'zod';
import { PICTURE_WIDTHS, pictureAt } from '@/records/pieces';
import { store } from '@/records/platform';

export const hashSchema = z.string().regex(/^[\w-]{43}$/);
const widthSchema = z
  .union([z.literal('full'), z.coerce.number().pipe(z.literal([...PICTURE_WIDTHS]))])
  .default('full');

/** A picture to whoever may see it; the hash is the ETag, so that it is fetched once. */
export async function answerPicture(request: Request, asked: string): Promise<Response> {
  const hash = hashSchema.safeParse(asked);
  const width = widthSchema.safeParse(new URL(request.url).searchParams.get('width') ?? undefined);
  if (!hash.success || !width.success)
    return new Response(`width must be one of ${PICTURE_WIDTHS.join(', ')} or full`, { status: 400 });
  const etag = `"${hash.data}-${width.data}"`;
  if (request.headers.get('if-none-match') === etag) return new Response(null, { status: 304 });
  const bytes = await pictureAt(store(), hash.data, width.data === 'full' ? null : width.data);
  if (!bytes) return new Response('There is no such picture.', { status: 404 });
  return new Response(new Uint8Array(bytes), {
    headers: {
      'Content-Type': 'image/webp',
      ETag: etag,
      'Cache-Control': 'private, max-age=31536000, immutable',
    },
  });
}
