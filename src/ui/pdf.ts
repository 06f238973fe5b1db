import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';

const FONTS = 'node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin';

/** An empty PDF on A4 with the interface's type, "plain" and "bold", and the function that closes it. */
export async function openPdf(
  title: string,
): Promise<{ pdf: PDFKit.PDFDocument; finish: () => Promise<Buffer> }> {
  const [plain, bold] = await Promise.all(
    [400, 600].map((weight) => readFile(join(process.cwd(), `${FONTS}-${weight}-normal.woff`))),
  );
  const pdf = new PDFDocument({ size: 'A4', margin: 0, autoFirstPage: false, info: { Title: title } });
  const chunks: Buffer[] = [];
  pdf.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise((done) => pdf.on('end', done));
  pdf.registerFont('plain', plain!).registerFont('bold', bold!);
  return {
    pdf,
    finish: async () => {
      pdf.end();
      await ended;
      return Buffer.concat(chunks);
    },
  };
}

const LEFT = 48;
const WIDTH = 500;
const BOTTOM = 790;
const TOP = 40;

/** Running text on A4: lines and parts that go on to the next page by themselves, and rows of pictures. */
export async function openPages(title: string) {
  const { pdf, finish } = await openPdf(title);
  pdf.addPage();
  pdf.y = TOP;
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
      pdf.rect(x, top, width, height).fill('#C9C9C9').fillColor('#17191D');
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
