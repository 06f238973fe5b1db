import jsQR from 'jsqr';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** What a PDF says: its text, where its links lead, and what every QR code in it decodes to, page by page. */
export async function readPdf(
  bytes: Buffer,
): Promise<{ pages: number; text: string; texts: string[]; codes: string[]; links: string[] }> {
  const file = await getDocument({ data: new Uint8Array(bytes) }).promise;
  const texts: string[] = [];
  const codes: string[] = [];
  const links: string[] = [];
  for (let n = 1; n <= file.numPages; n++) {
    const page = await file.getPage(n);
    texts.push((await page.getTextContent()).items.map((item) => ('str' in item ? item.str : '')).join(' '));
    for (const { subtype, dest } of await page.getAnnotations())
      if (subtype === 'Link' && (await file.getDestination(dest))) links.push(dest);
    const { fnArray, argsArray } = await page.getOperatorList();
    for (const [i, fn] of fnArray.entries()) {
      if (fn !== OPS.paintImageXObject) continue;
      const image = await new Promise<Image>((done) => page.objs.get(argsArray[i][0], done));
      codes.push(jsQR(inColour(image), image.width, image.height)?.data ?? 'no code');
    }
  }
  const pages = file.numPages;
  await file.destroy();
  return { pages, text: texts.join(''), texts, codes, links };
}

interface Image {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/** Pixels with four channels, from an image of one bit, three or four channels. */
function inColour({ width, height, data }: Image) {
  const channels = Math.round(data.length / (width * height));
  const pixels = new Uint8ClampedArray(width * height * 4).fill(255);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      const bit = () => ((data[y * Math.ceil(width / 8) + (x >> 3)]! >> (7 - (x & 7))) & 1) * 255;
      pixels.fill(channels >= 3 ? data[i * channels]! : channels === 1 ? data[i]! : bit(), i * 4, i * 4 + 3);
    }
  return pixels;
}
