import { runsOf } from './pdfFonts';

const LATIN = /[\x20-\xff]/;
/** A set font with Latin-1 only, and fallbacks that have what their names say. */
const has = (font: string | null, code: number) => {
  const letter = String.fromCodePoint(code);
  if (font === null) return LATIN.test(letter);
  if (font.includes('greek-400')) return /\p{Script=Greek}/u.test(letter);
  return font.includes('chinese') && /\p{Script=Han}/u.test(letter);
};

test('a text is cut where its font changes, letter by letter, and nothing of it is lost', () => {
  const runs = runsOf('ΔT of 青瓷 at cone 6', has);
  expect(runs.map(({ text }) => text)).toEqual(['Δ', 'T of ', '青瓷', ' at cone 6']);
  expect(runs.map(({ font }) => font?.match(/greek|chinese/)?.[0] ?? null)).toEqual([
    'greek',
    null,
    'chinese',
    null,
  ]);
});

test('plain text is one run, and a letter that no font has stays in the set font', () => {
  expect(runsOf('Limewash over Sleeper', has)).toEqual([{ text: 'Limewash over Sleeper', font: null }]);
  expect(runsOf('a\u{10300}b', has)).toEqual([{ text: 'a\u{10300}b', font: null }]);
  expect(runsOf('', has)).toEqual([]);
});
