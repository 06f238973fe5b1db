import type { FiringSummary } from '@/records/summary';
import { openPdf } from '@/ui/pdf';
import { GLAZE_AGAIN, readOut } from './words';

const LEFT = 48;
const WIDTH = 500;
const BOTTOM = 790;

/** What a firing gave as a PDF: what is read out, then surprises, shelves and what is fired again. */
export async function summaryPdf(summary: FiringSummary): Promise<Buffer> {
  const { firing, surprises, repairs, again, fresh } = summary;
  const { pdf, finish } = await openPdf(`${firing.kilnName} ${firing.number}: what came out`);
  pdf.addPage();
  const line = (text: string, size = 11, font: 'plain' | 'bold' = 'plain', gap = 4) => {
    pdf.font(font).fontSize(size);
    if (pdf.y + pdf.heightOfString(text, { width: WIDTH }) > BOTTOM) pdf.addPage().y = 40;
    pdf.text(text, LEFT, pdf.y + gap, { width: WIDTH });
  };
  const part = (title: string, rows: readonly string[]) => {
    if (rows.length === 0) return;
    line(title, 14, 'bold', 14);
    for (const row of rows) line(row);
  };
  pdf.y = 40;
  line(`${firing.kilnName} ${firing.number}: what came out`, 20, 'bold', 0);
  for (const sentence of readOut(summary)) line(sentence, 12);
  part(
    'Surprises, the greatest first',
    surprises.map(
      ({ pieces, headword, ground, words }) => `${pieces.join(', ')}: ${headword} on ${ground}: ${words}.`,
    ),
  );
  part(
    'New in the dictionary',
    fresh.map(({ text, pieces }) => `${text} (${pieces} ${pieces === 1 ? 'piece' : 'pieces'})`),
  );
  part(
    'Shelves to put right',
    repairs
      .filter(({ done }) => !done)
      .map(({ shelf, what, note }) => `Shelf ${shelf}: ${what}${note ? `, ${note}` : ''}`),
  );
  part('Into a kiln again', [
    ...again.map(({ label, fate, body }) => `${label}, ${body}: ${fate}`),
    ...(again.some(({ fate }) => fate === 'reglaze') ? GLAZE_AGAIN : []),
  ]);
  return finish();
}
