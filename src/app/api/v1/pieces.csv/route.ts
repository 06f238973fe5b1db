import { coverWords } from '@/features/pieces/model/cover';
import Papa from 'papaparse';
import { readerUnits, refuseReader } from '@/auth';
import { dayOf } from '@/core/time';
import { shownValue } from '@/core/units';
import { db } from '@/records/platform';
import { listPieces } from '@/records/pieces';
import { readQuery } from '@/features/pieces/model/query';

const CHUNK = 500;

/** The piece list as a spreadsheet, one row a coat, by the same filters as the page, lengths in the reader's unit; streamed. */
export async function GET(request: Request): Promise<Response> {
  const refused = await refuseReader('pieces.csv');
  if (refused) return refused;
  const { filter } = readQuery(Object.fromEntries(new URL(request.url).searchParams));
  const units = await readerUnits();
  const lengthIn = (mm: number) => Number(shownValue('length', mm, units).toFixed(3));
  const encoder = new TextEncoder();
  let offset = 0;
  const body = new ReadableStream({
    async pull(controller) {
      const { rows } = await listPieces(db(), { ...filter, offset, limit: CHUNK });
      const lines = rows.flatMap((piece) =>
        (piece.coats.length ? piece.coats : [null]).map((coat, i) => ({
          piece: piece.label,
          own_number: piece.ownNumber,
          // What nobody has described stays blank.
          form: piece.isDescribed ? piece.form : '',
          [`height_${units.length}`]: piece.isDescribed ? lengthIn(piece.heightMm) : '',
          [`width_${units.length}`]: piece.isDescribed ? lengthIn(piece.widthMm) : '',
          clay: piece.isDescribed ? piece.body : '',
          stage: piece.stage,
          fate: piece.fate ?? '',
          made: dayOf(piece.madeAt),
          by: piece.maker,
          coat: coat ? i + 1 : '',
          glaze: coat?.glazeName ?? '',
          method: coat?.method ?? '',
          times: coat?.times ?? '',
          side: coat?.side ?? '',
          area: coat?.area ?? '',
          kept_off: coat?.not.join('; ') ?? '',
          covers: coat?.cover ? coverWords(coat.cover) : '',
          grams: coat?.grams ?? '',
          pieces: coat?.pieces ?? '',
          from: coat?.from ?? '',
          to: coat?.to ?? '',
          note: piece.note,
        })),
      );
      if (lines.length)
        controller.enqueue(
          encoder.encode(`${Papa.unparse(lines, { header: offset === 0, escapeFormulae: true })}\r\n`),
        );
      offset += CHUNK;
      if (rows.length < CHUNK) controller.close();
    },
  });
  return new Response(body, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="pieces.csv"',
    },
  });
}
