import { PassThrough } from 'node:stream';
import { expect, test } from '@playwright/test';
import { random } from '../../demo/random';
import { openBook } from '../../src/features/dictionary/server/book';
import { readPdf } from './readPdf';

test('guide words name the first and the last headword of a page, also of one that only goes on', async () => {
  const sink = new PassThrough();
  const chunks: Buffer[] = [];
  sink.on('data', (chunk: Buffer) => chunks.push(chunk));
  const book = await openBook('A book', sink);
  const next = random('book');
  const begun: (readonly [string, number])[] = [];
  for (let letter = 0; letter < 3; letter++) {
    book.part('ABC'[letter]!, letter);
    for (let i = 0; i < 14; i++) {
      const word = `Glaze${letter}x${i}`;
      begun.push([word, book.headword(word)]);
      book.text(word, { font: 'head', size: 13 });
      // Now and then an article fills more than a page.
      const lines = next() < 0.15 ? 260 : 4 + Math.floor(40 * next());
      for (let line = 0; line < lines; line++) book.text(`a line of the article on what came out, ${line}`);
    }
  }
  await book.finish();
  const { texts } = await readPdf(Buffer.concat(chunks));
  expect(texts.length).toBeGreaterThan(10);
  const timesOn = (page: number, word: string) =>
    texts[page - 1]!.split(new RegExp(`${word}(?!\\d)`)).length - 1;
  let goingOn = 0;
  for (let page = 1; page <= texts.length; page++) {
    const own = begun.filter(([, at]) => at === page).map(([word]) => word);
    const before = begun.findLast(([, at]) => at < page)?.[0];
    if (own.length === 0) {
      goingOn++;
      expect(timesOn(page, before!), `page ${page} goes on with ${before}`).toBe(1);
      continue;
    }
    // Once where the article begins, and as a guide word, which stands once where first and last are the same.
    expect(timesOn(page, own.at(-1)!), `page ${page} ends with ${own.at(-1)}`).toBe(2);
    for (const word of own.slice(1, -1)) expect(timesOn(page, word), `${word} on page ${page}`).toBe(1);
    expect(texts[page - 1]).toContain(String(page));
  }
  expect(goingOn).toBeGreaterThan(0);
});
