import { PALETTES } from './palette';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Writable } from 'node:stream';
import PDFDocument from 'pdfkit';
import { withFallbackFonts } from './pdfFonts';

/** What stands at the head of a studio's prints. */
export interface Letterhead {
  /** Empty when the studio has no name yet. */
  readonly studio: string;
  /** As JPEG. */
  readonly logo: Buffer | null;
}

const FONTS = {
  plain: 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  bold: 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-600-normal.woff',
  head: 'literata/files/literata-latin-600-normal.woff',
};

/**
 * An empty PDF on A4 with the interface's type, "plain" and "bold", and that of headwords, "head", and the
 * function that closes it.
 *
 * @param sink where it is written as it grows; kept in memory and given back at the end without one
 */
export async function openPdf(
  title: string,
  sink?: Writable,
): Promise<{ pdf: PDFKit.PDFDocument; finish: () => Promise<Buffer> }> {
  const pdf = new PDFDocument({ size: 'A4', margin: 0, autoFirstPage: false, info: { Title: title } });
  const chunks: Buffer[] = [];
  if (sink) pdf.pipe(sink);
  else pdf.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise((done) => pdf.on('end', done));
  for (const [name, file] of Object.entries(FONTS))
    pdf.registerFont(name, await readFile(join(process.cwd(), 'node_modules/@fontsource', file)));
  withFallbackFonts(pdf);
  return {
    pdf,
    finish: async () => {
      pdf.end();
      await ended;
      return Buffer.concat(chunks);
    },
  };
}

const HEAD = { top: 22, height: 34, wide: 140 };

/**
 * Sets the studio's name and picture on a line of their own at the top of a page; nothing where there is neither.
 *
 * @param left,right edges of what is printed, pt
 * @returns how far down it reaches, pt; 0 where there is nothing
 */
export function setLetterhead(
  pdf: PDFKit.PDFDocument,
  { studio, logo }: Letterhead,
  left: number,
  right: number,
): number {
  if (!studio && !logo) return 0;
  const { top, height, wide } = HEAD;
  if (logo) pdf.image(logo, right - wide, top, { fit: [wide, height], align: 'right', valign: 'center' });
  pdf
    .font('bold')
    .fontSize(10)
    .text(studio, left, top + height / 2 - 6, { width: right - left - wide, lineBreak: false });
  return top + height;
}

const LEFT = 48;
const WIDTH = 500;
const BOTTOM = 790;
const TOP = 40;

/** Running text on A4: lines and parts that go on to the next page by themselves, and rows of pictures. */
export async function openPages(title: string, head: Letterhead) {
  const { pdf, finish } = await openPdf(title);
  pdf.addPage();
  pdf.y = Math.max(TOP, setLetterhead(pdf, head, LEFT, LEFT + WIDTH) + 12);
  const line = (text: string, size = 11, font: 'plain' | 'bold' = 'plain', gap = 4) => {
    pdf.font(font).fontSize(size);
    if (pdf.y + pdf.heightOfString(text, { width: WIDTH }) > BOTTOM) pdf.addPage().y = TOP;
    pdf.text(text, LEFT, pdf.y + gap, { width: WIDTH });
  };
  const part = (heading: string, rows: readonly string[]) => {
    if (rows.length === 0) return;
    line(heading, 14, 'bold', 14);
    for (const row of rows) line(row);
  };
  /** A row of pictures with words below each; those without a picture are left out. */
  const pictures = (shown: readonly { readonly words: string; readonly jpeg: Buffer | null }[]) => {
    const seen = shown.filter(({ jpeg }) => jpeg !== null);
    if (seen.length === 0) return;
    const width = (WIDTH - (PICTURES - 1) * 10) / PICTURES;
    const height = width * 1.15;
    if (pdf.y + height + 20 > BOTTOM) pdf.addPage().y = TOP;
    const top = pdf.y + 8;
    for (const [i, { words, jpeg }] of seen.slice(0, PICTURES).entries()) {
      const x = LEFT + i * (width + 10);
      pdf.rect(x, top, width, height).fill(PALETTES.light.n8).fillColor(PALETTES.light.ink);
      pdf.image(jpeg!, x, top, { fit: [width, height], align: 'center', valign: 'center' });
      pdf
        .font('plain')
        .fontSize(9)
        .text(words, x, top + height + 3, { width });
    }
    pdf.y = top + height + 18;
  };
  return { pdf, line, part, pictures, finish };
}

/** Pictures in a row. */
const PICTURES = 4;
