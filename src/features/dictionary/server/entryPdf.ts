import { sayMessage, type Units } from '@/core/units';
import 'server-only';
import { historyWords, stackWords } from '@/core/coats';
import { defectName } from '@/core/vocabulary';
import { describe, bestProof } from '@/core/evidence';
import { type Headword, type Sense } from '@/records/dictionary';
import type { Book } from './book';

/** How the pictures of a print are fetched: JPEG by content hash, null when there is none. */
export type Pictures = (hash: string) => Promise<Buffer | null>;

/**
 * Sets one headword with its senses.
 *
 * @param nameOf name by glaze id
 * @returns the page it begins on
 */
export async function setHeadword(
  book: Book,
  headword: Headword,
  nameOf: (id: string) => string,
  pictures: Pictures,
  units: Units,
): Promise<number> {
  const page = book.headword(headword.text);
  book.text(headword.text, { font: 'head', size: 13, gap: 12 });
  for (const [i, sense] of headword.senses.entries()) {
    const best = bestProof(sense.proofs);
    const jpeg = best?.photo ? await pictures(best.photo.hash) : null;
    const number = headword.senses.length > 1 ? `${i + 1}  ` : '';
    book.figure(jpeg, sense.colour, linesOf(sense, number, nameOf, best?.label, units));
    if (sense.teacherNote) book.text(sense.teacherNote, { size: 9, indent: 8, gap: 1 });
  }
  if (headword.reverse)
    book.text(`Other order: ${headword.reverse.text}`, {
      size: 9,
      colour: 'quiet',
      gap: 2,
      goTo: headword.reverse.text,
    });
  return page;
}

function linesOf(
  sense: Sense,
  number: string,
  nameOf: (id: string) => string,
  label: string | undefined,
  units: Units,
) {
  const words = sense.summary && describe(sense.summary, sense.colour);
  const bad = sense.summary?.defects.map(
    (one) => `${defectName(one.defect)} ${one.count} of ${sense.summary!.proofs}`,
  );
  return [
    [`${number}${sense.ground}, ${historyWords(sense.history)}`, { font: 'bold' }],
    [words?.look ?? 'Not described yet.'],
    [stackWords(sense.stack, nameOf), { size: 9, colour: 'quiet' }],
    [words ? `${sayMessage(words.moves, units)}.` : ''],
    [bad?.length ? `Defects: ${bad.join(', ')}` : '', { font: 'bold' }],
    [`${words?.proved ?? ''}${label ? `; shown: ${label}` : ''}`, { size: 9, colour: 'quiet' }],
  ].filter(([text]) => text) as [string, { size?: number }?][];
}
