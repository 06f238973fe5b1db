import { PALETTES } from '@/ui/palette';
import 'server-only';
import QRCode from 'qrcode';
import { jpegAt } from '@/records/pieces';
import type { Store } from '@/records/platform';
import type { Letterhead } from '@/ui/pdf';
import { openPdf } from '@/ui/pdf';
import { cellKey, cellsOf, type WallCell } from '@/features/wall/model/cells';
import { wallWords, type Wall } from '@/features/wall/server/wallOf';

/** Sheets, mm upright. */
export const SHEETS = {
  A4: [210, 297],
  A3: [297, 420],
  A2: [420, 594],
  A1: [594, 841],
  A0: [841, 1189],
} as const;
export type SheetSize = keyof typeof SHEETS;

/** What the poster is to be. */
export interface PosterAsk {
  readonly title: string;
  /** The whole poster, across. */
  readonly size: Exclude<SheetSize, 'A4'>;
  /** The sheets it is printed on; the same as the size when in one piece. */
  readonly sheet: SheetSize;
  /** Where its QR code leads. */
  readonly address: string;
}

const MM = 72 / 25.4;
const INK = PALETTES.light.ink;
/** What a printer leaves white, mm, and by how much neighbours overlap to be glued. */
const EDGE = 6;
const GLUE = 8;
/** Images are read so many at a time. */
const AT_A_TIME = 24;

/** The wall as a poster across, with its pictures, legend and QR code; in one piece or on sheets to be glued together. */
export async function posterPdf(wall: Wall, ask: PosterAsk, head: Letterhead, store: Store): Promise<Buffer> {
  const { pdf, finish } = await openPdf(ask.title);
  const [high, wide] = SHEETS[ask.size];
  const cells = cellsOf(wall.entries, wall.choice.grounds);
  const images = await imagesOf(wall, store);
  const code = await QRCode.toBuffer(ask.address, { margin: 1, width: 600 });
  const draw = (view: View) =>
    drawPoster(pdf, wall, cells, { images, code, head }, ask, { wide, high }, view);
  for (const view of viewsOf({ wide, high }, ask)) {
    // Words may stand beyond the sheet: the poster is larger than it, and no page is begun for them.
    const margins = { top: 0, left: 0, right: 0, bottom: -1e6 };
    pdf.addPage({ size: [view.sheetWide * MM, view.sheetHigh * MM], margins });
    pdf.save();
    pdf.rect(view.edge * MM, view.edge * MM, view.wide * MM, view.high * MM).clip();
    pdf.translate((view.edge - view.x) * MM, (view.edge - view.y) * MM);
    draw(view);
    pdf.restore();
    if (view.words) {
      pdf.font('plain').fontSize(7).fillColor('#5B5F66');
      pdf.text(view.words, 6 * MM, 1.2 * MM, { lineBreak: false });
    }
  }
  return finish();
}

/** A part of the poster on one sheet, mm. */
interface View {
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly high: number;
  readonly sheetWide: number;
  readonly sheetHigh: number;
  readonly edge: number;
  readonly words: string;
}

/** How the poster is cut into sheets, row by row; exported to be tested. */
export function viewsOf(
  whole: { readonly wide: number; readonly high: number },
  { size, sheet }: Pick<PosterAsk, 'size' | 'sheet'>,
): View[] {
  if (sheet === size)
    return [{ x: 0, y: 0, ...whole, sheetWide: whole.wide, sheetHigh: whole.high, edge: 0, words: '' }];
  const [narrow, long] = SHEETS[sheet];
  const options = [
    [narrow, long],
    [long, narrow],
  ].map(([sheetWide, sheetHigh]) => {
    const [wide, high] = [sheetWide! - 2 * EDGE, sheetHigh! - 2 * EDGE];
    const columns = Math.ceil((whole.wide - GLUE) / (wide - GLUE));
    const rows = Math.ceil((whole.high - GLUE) / (high - GLUE));
    return { sheetWide: sheetWide!, sheetHigh: sheetHigh!, wide, high, columns, rows };
  });
  const [best] = options.sort((one, two) => one.columns * one.rows - two.columns * two.rows);
  const { columns, rows, wide, high, sheetWide, sheetHigh } = best!;
  return Array.from({ length: columns * rows }, (_, i) => {
    const [row, column] = [Math.floor(i / columns), i % columns];
    return {
      x: column * (wide - GLUE),
      y: row * (high - GLUE),
      wide,
      high,
      sheetWide,
      sheetHigh,
      edge: EDGE,
      words: `row ${row + 1} of ${rows}, column ${column + 1} of ${columns}; neighbours overlap by ${GLUE} mm`,
    };
  });
}

async function imagesOf({ entries }: Wall, store: Store): Promise<Map<string, Buffer>> {
  const hashes = [...new Set(entries.flatMap(({ swatchHash }) => swatchHash ?? []))];
  const found = new Map<string, Buffer>();
  for (let i = 0; i < hashes.length; i += AT_A_TIME)
    await Promise.all(
      hashes.slice(i, i + AT_A_TIME).map(async (hash) => {
        const jpeg = await jpegAt(store, hash, 320);
        if (jpeg) found.set(hash, jpeg);
      }),
    );
  return found;
}

/** What is put on a poster beside its cells. */
interface Drawn {
  readonly images: ReadonlyMap<string, Buffer>;
  readonly code: Buffer;
  readonly head: Letterhead;
}

function drawPoster(
  pdf: PDFKit.PDFDocument,
  wall: Wall,
  cells: ReadonlyMap<string, WallCell>,
  { images, code, head: { studio, logo } }: Drawn,
  { title }: PosterAsk,
  { wide, high }: { readonly wide: number; readonly high: number },
  view: View,
): void {
  const unit = wide / 420;
  const margin = 14 * unit;
  const head = { left: margin + 46 * unit, top: margin + 62 * unit };
  const count = Math.max(1, wall.glazes.length);
  const ch = (high - head.top - margin) / count;
  const cw = Math.min((wide - head.left - margin - 24 * unit) / count, ch * 1.9);
  pdf.rect(0, 0, wide * MM, high * MM).fill('#FFFFFF');
  pdf
    .fillColor(INK)
    .font('head')
    .fontSize(13 * unit * MM);
  pdf.text(title, margin * MM, margin * MM, { lineBreak: false });
  pdf.font('plain').fontSize(4.2 * unit * MM);
  pdf.text(
    `${studio ? `${studio}. ` : ''}${wallWords(wall)}. ${legendOf(wall)}`,
    margin * MM,
    (margin + 20 * unit) * MM,
    {
      width: (wide - 2 * margin - 34 * unit) * MM,
    },
  );
  const logoWide = 60 * unit;
  if (logo)
    pdf.image(logo, (wide - margin - 36 * unit - logoWide) * MM, margin * MM, {
      fit: [logoWide * MM, 16 * unit * MM],
      align: 'right',
      valign: 'center',
    });
  pdf.image(code, (wide - margin - 30 * unit) * MM, margin * MM, { width: 30 * unit * MM });
  const name = Math.min(4.6 * unit, ch * 0.5);
  for (const [i, glaze] of wall.glazes.entries()) {
    pdf
      .font('head')
      .fontSize(name * MM)
      .fillColor(INK);
    const own = pdf.widthOfString(glaze.name);
    const end = (head.left - 3 * unit) * MM;
    pdf.text(glaze.name, end - own, (head.top + i * ch + ch / 2 - name * 0.7) * MM, { lineBreak: false });
    pdf.save();
    pdf.translate((head.left + i * cw + cw * 0.45) * MM, (head.top - 2 * unit) * MM).rotate(-45);
    pdf.text(glaze.name, 0, -name * 0.5 * MM, { lineBreak: false });
    pdf.restore();
  }
  for (const [r, below] of wall.glazes.entries())
    for (const [c, over] of wall.glazes.entries()) {
      const [x, y] = [head.left + c * cw, head.top + r * ch];
      const isSeen = x + cw > view.x && x < view.x + view.wide && y + ch > view.y && y < view.y + view.high;
      if (isSeen)
        drawCell(pdf, cells.get(cellKey(below.id, over.id)), images, {
          x: x * MM,
          y: y * MM,
          wide: (cw - unit) * MM,
          high: (ch - unit) * MM,
        });
    }
}

interface Box {
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly high: number;
}

function drawCell(
  pdf: PDFKit.PDFDocument,
  cell: WallCell | undefined,
  images: ReadonlyMap<string, Buffer>,
  { x, y, wide, high }: Box,
): void {
  pdf.rect(x, y, wide, high).fill('#C9C9C9');
  if (!cell) {
    pdf
      .moveTo(x, y + high)
      .lineTo(x + wide, y)
      .lineWidth(0.5)
      .stroke('#5B5F66');
    return;
  }
  const [halfWide, halfHigh] = [wide / cell.quarters.length, high / 2];
  for (const [i, { once, twice }] of cell.quarters.entries())
    for (const [level, entry] of [twice, once].entries()) {
      if (!entry) continue;
      const [qx, qy] = [x + i * halfWide, y + level * halfHigh];
      const image = entry.swatchHash ? images.get(entry.swatchHash) : undefined;
      if (image) {
        pdf.save();
        pdf.rect(qx, qy, halfWide, halfHigh).clip();
        pdf.image(image, qx, qy, { cover: [halfWide, halfHigh], align: 'center', valign: 'center' });
        pdf.restore();
      } else if (entry.colour) pdf.rect(qx, qy, halfWide, halfHigh).fill(entry.colour);
    }
  if (cell.worst) {
    const size = high * 0.2;
    pdf.rect(x + wide - size, y, size, size).fill('#FFFFFF');
    pdf
      .fillColor(INK)
      .font('bold')
      .fontSize(size * 0.8)
      .text('!', x + wide - size, y + size * 0.08, { width: size, align: 'center', lineBreak: false });
  }
}

function legendOf({ choice, grounds }: Wall): string {
  const names = choice.grounds.map((id) => grounds.find((ground) => ground.id === id)?.name ?? '?');
  const halves = names.length > 1 ? `Left half on ${names[0]}, right half on ${names[1]}` : `On ${names[0]}`;
  return `Rows lie below, columns over them. ${halves}; the upper glaze once below, twice above. A stroke: not tried. !: a defect, see the entry. Colours are of test tiles; nothing here says that a surface may touch food.`;
}
