import 'server-only';
import { PassThrough } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { type Db, store } from '@/records/platform';
import { headwordPage, headwordsOnPieces } from '@/records/dictionary';
import { listGlazes } from '@/records/materials';
import { jpegAt } from '@/records/pieces';
import type { PrintFor } from '@/features/shared/server/printFor';
import { openBook } from './book';
import { setHeadword } from './entryPdf';

/** The entries of some pieces as a handout for a class. */
export async function handoutPdf(
  base: Db,
  pieceIds: readonly string[],
  title: string,
  { head, units }: PrintFor,
): Promise<Buffer> {
  const [headwords, glazes] = await Promise.all([
    headwordsOnPieces(base, pieceIds),
    listGlazes(base, { tests: true }),
  ]);
  const names = new Map(glazes.map(({ id, name }) => [id, name]));
  const sink = new PassThrough();
  const whole = buffer(sink);
  const book = await openBook(title, sink, head);
  book.text(title, { font: 'head', size: 20 });
  for (const id of headwords)
    await setHeadword(
      book,
      await headwordPage(base, id),
      (glaze) => names.get(glaze) ?? '?',
      (hash) => jpegAt(store(), hash, 320),
      units,
    );
  if (headwords.length === 0) book.text('None of these pieces proves an entry yet.', { gap: 10 });
  await book.finish();
  return whole;
}
