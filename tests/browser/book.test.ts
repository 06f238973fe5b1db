import { PassThrough } from 'node:stream';
import { expect, test } from '@playwright/test';
import { random } from '../../demo/random';
import { openBook } from '../../src/features/dictionary/server/book';
import { openPages } from '../../src/ui/pdf';
import { readPdf } from './readPdf';

test('guide words name the first and the last headword of a page, also of one that only goes on', async () => {
  const sink = new PassThrough();
  const chunks: Buffer[] = [];
  sink.on('data', (chunk: Buffer) => chunks.push(chunk));
  const book = await openBook('A book', sink, { studio: '', logo: null });
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

test('names in six scripts are printed with their letters, in the line and in the page’s width', async () => {
  const names = [
    'Łucja Čapek Ő',
    'Δοκιμή Σελαντόν',
    'Ирина Щеглова',
    'शोभा मिट्टी',
    '織部 青瓷 オリベ',
    '백자 청자',
  ];
  const { pdf, line, finish } = await openPages('Six scripts', { studio: '', logo: null });
  for (const name of names) line(`${name}: a glaze of ours`, 11, 'bold');
  line(`${names[4]} `.repeat(30));
  expect(pdf.y).toBeGreaterThan(150);
  const { text } = await readPdf(await finish());
  const plain = text.replaceAll(' ', '');
  // Devanagari is set with its vowel signs moved and its letters joined: each letter is looked for by itself.
  const isPrinted = (name: string) =>
    name === names[3]
      ? [...name.replaceAll(' ', '')].every((letter) => plain.includes(letter))
      : plain.normalize('NFKD').includes(name.replaceAll(' ', '').normalize('NFKD'));
  expect(names.filter((name) => !isPrinted(name))).toEqual([]);
});
