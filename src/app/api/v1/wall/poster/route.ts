import { z } from 'zod';
import { refuseReader } from '@/auth';
import { db, store } from '@/records/platform';
import { printFor } from '@/features/shared/server/printFor';
import { posterPdf, SHEETS } from '@/features/wall/server/posterPdf';
import { wallOf, wallWords } from '@/features/wall/server/wallOf';
import { originOf, pdfAnswer } from '../../answers';

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
  const params = Object.fromEntries(new URL(request.url).searchParams);
  const { title, size, sheet, link } = schema.parse(params);
  const wall = await wallOf(db(), params);
  const pdf = await posterPdf(
    wall,
    { title: title ?? wallWords(wall), size, sheet, address: `${originOf(request)}${link ?? '/wall'}` },
    (await printFor()).head,
    store(),
  );
  return pdfAnswer(pdf, `wall-${size}-on-${sheet}`);
}
