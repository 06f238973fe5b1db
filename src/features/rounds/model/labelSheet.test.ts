import { labelPdf, type Label } from './labelSheet';

const SHEET = { columns: 2, rows: 1, top: 110, left: 5, gap: 2 };

const labels = (count: number): Label[] =>
  Array.from({ length: count }, (_, i) => ({
    piece: `SW-${String(i).padStart(4, '0')}`,
    code: `R12 A${i}`,
    words: 'Limewash over Sleeper, twice, on Buffer White. '.repeat(30),
    url: `http://127.0.0.1/p/SW-${i}`,
  }));
const pagesOf = (pdf: Buffer) => pdf.toString('latin1').match(/\/Type \/Page\b(?!s)/g)!.length;

test.each([
  [0, 1],
  [2, 1],
  [3, 2],
])('%d labels on sheets of two take %d, and long words run over to no other', async (count, sheets) => {
  expect(pagesOf(await labelPdf(labels(count), SHEET))).toBe(sheets);
});
