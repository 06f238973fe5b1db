import { counted } from '@/core/units';
import 'server-only';
import type { Writable } from 'node:stream';
import { colourWords } from '@/core/evidence';
import { defectName } from '@/core/vocabulary';
import { type Db, store } from '@/records/platform';
import { headwordPage, provedHeadwords } from '@/records/dictionary';
import { listGlazes } from '@/records/materials';
import { jpegAt } from '@/records/pieces';
import { shortDay } from '@/core/time';
import type { PrintFor } from '@/features/shared/server/printFor';
import { openBook, type Book } from './book';
import { setHeadword } from './entryPdf';

/** Letters on the edge of a page before they begin at the top again. */
const TABS = 22;

interface Index {
  /** Pages by words, by headword. */
  readonly colours: Map<string, Map<string, number>>;
  readonly defects: Map<string, Map<string, number>>;
}

/**
 * Writes the whole dictionary as a book: headwords in order with guide words and thumb tabs, then an index by
 * colour and one by defect. One headword is in memory at a time.
 *
 * @param onDone told after each headword how many are done, of how many
 * @param signal ends it between two headwords, with an AbortError
 */
export async function writeDictionary(
  base: Db,
  sink: Writable,
  now: Date,
  onDone: (done: number, of: number) => Promise<void>,
  signal: AbortSignal,
  { head, units }: PrintFor,
): Promise<void> {
  const [headwords, glazes] = await Promise.all([provedHeadwords(base), listGlazes(base, { tests: true })]);
  const names = new Map(glazes.map(({ id, name }) => [id, name]));
  const nameOf = (id: string) => names.get(id) ?? '?';
  const book = await openBook('Dictionary of fired results', sink, head);
  titlePage(book, headwords.length, now);
  const index: Index = { colours: new Map(), defects: new Map() };
  const letters = [...new Set(headwords.map(({ text }) => initial(text)))];
  let letter = '';
  await onDone(0, headwords.length);
  for (const [i, { id, text }] of headwords.entries()) {
    signal.throwIfAborted();
    if (initial(text) !== letter) {
      letter = initial(text);
      book.part(letter, letters.indexOf(letter) % TABS);
    }
    const headword = await headwordPage(base, id);
    const page = await setHeadword(book, headword, nameOf, (hash) => jpegAt(store(), hash, 320), units);
    for (const sense of headword.senses) {
      if (sense.colour) note(index.colours, colourWords(sense.colour), text, page);
      for (const { defect } of sense.summary?.defects ?? [])
        note(index.defects, defectName(defect), text, page);
    }
    await onDone(i + 1, headwords.length);
  }
  writeIndex(book, 'Index by colour', index.colours, letters.length % TABS);
  writeIndex(book, 'Index by defect', index.defects, (letters.length + 1) % TABS);
  await book.finish();
}

function titlePage(book: Book, count: number, now: Date): void {
  book.newPage();
  book.text('Dictionary of fired results', { font: 'head', size: 30, gap: 0 });
  book.text(`${counted(count, 'headword')}, as of ${shortDay(now)}`, {
    size: 12,
    gap: 14,
  });
  book.text(
    'Top over base. Each numbered sense is one ground, cone and atmosphere, described from the tiles that prove it; how many of them agree is said with it. Colours are of test tiles: another kiln gives another result.',
    { size: 10, gap: 16 },
  );
  book.text('Nothing here says that a surface may touch food: have ware tested and follow local rules.', {
    size: 10,
    gap: 8,
  });
}

function initial(text: string): string {
  return text[0]!.toUpperCase();
}

function note(index: Map<string, Map<string, number>>, words: string, headword: string, page: number): void {
  const pages = index.get(words) ?? new Map<string, number>();
  pages.set(headword, page);
  index.set(words, pages);
}

function writeIndex(book: Book, title: string, index: Index['colours'], place: number): void {
  book.part(title.split(' ').at(-1)!.slice(0, 3), place);
  book.headword(title);
  book.text(title, { font: 'head', size: 18 });
  if (index.size === 0) book.text('Nothing yet.', { gap: 8 });
  for (const [words, pages] of [...index].sort(([one], [two]) => one.localeCompare(two))) {
    book.text(words, { font: 'bold', size: 10, gap: 7 });
    for (const [headword, page] of pages)
      book.text(`${headword}  ${page}`, { size: 9, indent: 8, goTo: headword });
  }
}
