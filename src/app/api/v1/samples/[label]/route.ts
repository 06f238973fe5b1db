import { z } from 'zod';
import { refuseReader } from '@/auth';
import { samplePicture } from '@/records/pieces';

const labelSchema = z.string().regex(/^[A-Z]{1,4}-\d{4,7}$/);

/** A painted stand-in for a photo of a piece, to members only; there are some in the demo alone. */
export async function GET(_: Request, { params }: { params: Promise<{ label: string }> }): Promise<Response> {
  const refused = await refuseReader('samples/[label]');
  if (refused) return refused;
  const label = labelSchema.safeParse((await params).label);
  const bytes = label.success && (await samplePicture(label.data));
  if (!bytes) return new Response('There is no such sample.', { status: 404 });
  return new Response(new Uint8Array(bytes), {
    headers: { 'Content-Type': 'image/webp', 'Cache-Control': 'private, max-age=3600' },
  });
}
