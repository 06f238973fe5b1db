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
