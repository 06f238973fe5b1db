import { z } from 'zod';
import { refuseReader } from '@/auth';
import { db, store } from '@/records/platform';
import { printFor } from '@/features/shared/server/printFor';
import { posterPdf, SHEETS } from '@/features/wall/server/posterPdf';
import { wallOf, wallWords } from '@/features/wall/server/wallOf';

const schema = z.object({
  title: z.string().trim().min(1).max(60).optional().catch(undefined),
  size: z.enum(['A3', 'A2', 'A1', 'A0']).catch('A2'),
  sheet: z.enum(Object.keys(SHEETS) as (keyof typeof SHEETS)[]).catch('A4'),
  link: z
    .string()
    .regex(/^\/share\/[\w-]{43}$/)
    .optional()
    .catch(undefined),
});

/** The wall as a poster. */
export async function GET(request: Request): Promise<Response> {
  const refused = await refuseReader('wall/poster');
  if (refused) return refused;
  const url = new URL(request.url);
  const params = Object.fromEntries(url.searchParams);
  const { title, size, sheet, link } = schema.parse(params);
  const wall = await wallOf(db(), params);
  const house = `${url.protocol}//${request.headers.get('host') ?? url.host}`;
  const pdf = await posterPdf(
    wall,
    { title: title ?? wallWords(wall), size, sheet, address: `${house}${link ?? '/wall'}` },
    (await printFor()).head,
    store(),
  );
  return new Response(new Uint8Array(pdf), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="wall-${size}-on-${sheet}.pdf"`,
    },
  });
}
