import QRCode from 'qrcode';
import { z } from 'zod';
import { openPdf } from '@/ui/pdf';

/** One label: what is written under the foot, and where its QR leads. */
export interface Label {
  /** The piece's number. */
  readonly piece: string;
  /** The short code of its place in the round: "R12 B3". */
  readonly code: string;
  readonly words: string;
  readonly url: string;
}

/** A sheet of labels; lengths in mm. */
export interface LabelSheet {
  readonly columns: number;
  readonly rows: number;
  readonly top: number;
  readonly left: number;
  readonly gap: number;
}

/** Plain A4, cut with a knife. */
export const PLAIN_SHEET: LabelSheet = { columns: 3, rows: 8, top: 12, left: 8, gap: 3 };

const count = (most: number, usual: number) => z.coerce.number().int().min(1).max(most).catch(usual);
const mm = (usual: number) => z.coerce.number().min(0).max(60).catch(usual);

/** A sheet as an address tells it; what is missing or wrong is as on plain A4. */
export const sheetSchema = z.object({
  columns: count(6, PLAIN_SHEET.columns),
  rows: count(20, PLAIN_SHEET.rows),
  top: mm(PLAIN_SHEET.top),
  left: mm(PLAIN_SHEET.left),
  gap: mm(PLAIN_SHEET.gap),
});

const A4 = { width: 210, height: 297 };
const MM = 72 / 25.4;

/**
 * Labels as a PDF, in the order given, sheet by sheet: a QR on the left, the number large beside it, the code
 * and what it is below.
 */
export async function labelPdf(labels: readonly Label[], sheet: LabelSheet): Promise<Buffer> {
  const { pdf, finish } = await openPdf('Labels');
  const width = (A4.width - 2 * sheet.left - (sheet.columns - 1) * sheet.gap) / sheet.columns;
  const height = (A4.height - 2 * sheet.top - (sheet.rows - 1) * sheet.gap) / sheet.rows;
  const each = sheet.columns * sheet.rows;
  for (const [i, label] of labels.entries()) {
    if (i % each === 0) pdf.addPage();
    const at = i % each;
    const x = sheet.left + (at % sheet.columns) * (width + sheet.gap);
    const y = sheet.top + Math.floor(at / sheet.columns) * (height + sheet.gap);
    await drawLabel(pdf, label, x * MM, y * MM, width * MM, height * MM);
  }
  if (labels.length === 0) pdf.addPage().font('plain').fontSize(12).text('No pieces to label.', 40, 40);
  return finish();
}

async function drawLabel(
  pdf: PDFKit.PDFDocument,
  label: Label,
  x: number,
  y: number,
  width: number,
  height: number,
): Promise<void> {
  const side = Math.min(height, width * 0.42);
  const code = await QRCode.toBuffer(label.url, { margin: 1, width: 240, errorCorrectionLevel: 'M' });
  pdf.image(code, x, y, { width: side, height: side });
  const left = x + side + 4;
  const room = width - side - 4;
  pdf
    .font('bold')
    .fontSize(Math.min(18, room / 4.6))
    .text(label.piece, left, y + 3, { width: room, lineBreak: false });
  pdf
    .font('bold')
    .fontSize(10)
    .text(label.code, left, y + 24, { width: room, lineBreak: false });
  pdf
    .font('plain')
    .fontSize(7.5)
    .text(label.words, left, y + 38, { width: room, height: Math.max(9, height - 40), ellipsis: true });
}
