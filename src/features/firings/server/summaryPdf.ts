import { counted } from '@/core/units';
import { reasonName } from '@/core/vocabulary';
import 'server-only';
import type { FiringSummary } from '@/records/openings';
import { openPages, type Letterhead } from '@/ui/pdf';
import { GLAZE_AGAIN, readOut } from '../model/summaryWords';

/** What a firing gave as a PDF: what is read out, then surprises, shelves and what is fired again. */
export async function summaryPdf(summary: FiringSummary, head: Letterhead): Promise<Buffer> {
  const { firing, surprises, repairs, again, fresh } = summary;
  const title = `${firing.kilnName} ${firing.number}: what came out`;
  const { line, part, finish } = await openPages(title, head);
  line(title, 20, 'bold', 0);
  for (const sentence of readOut(summary)) line(sentence, 12);
  part(
    'Surprises, biggest first',
    surprises.map(
      ({ pieces, headword, ground, words }) => `${pieces.join(', ')}: ${headword} on ${ground}: ${words}.`,
    ),
  );
  part(
    'New in the dictionary',
    fresh.map(({ text, pieces }) => `${text} (${counted(pieces, 'piece')})`),
  );
  part(
    'Shelves to repair',
    repairs
      .filter(({ done }) => !done)
      .map(({ shelf, what, note }) => `Shelf ${shelf}: ${what}${note ? `, ${note}` : ''}`),
  );
  part('Refires', [
    ...again.map(
      ({ label, fate, body, why }) =>
        `${label}, ${body}: ${fate}${why.length ? ` for ${why.map(reasonName).join(', ')}` : ''}`,
    ),
    ...(again.some(({ fate }) => fate === 'reglaze') ? GLAZE_AGAIN : []),
  ]);
  return finish();
}
