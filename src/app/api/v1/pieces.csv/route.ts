import Papa from 'papaparse';
import { refuseReader } from '@/auth';
import { db } from '@/records/platform';
import { listPieces } from '@/records/pieces';
import { readQuery } from '@/features/pieces/model/query';

const CHUNK = 500;

/** The piece list as a spreadsheet, one row a coat, by the same filters as the page; streamed. */
export async function GET(request: Request): Promise<Response> {
  const refused = await refuseReader('pieces.csv');
  if (refused) return refused;
  const { filter } = readQuery(Object.fromEntries(new URL(request.url).searchParams));
  const encoder = new TextEncoder();
  let offset = 0;
  const body = new ReadableStream({
    async pull(controller) {
      const { rows } = await listPieces(db(), { ...filter, offset, limit: CHUNK });
      const lines = rows.flatMap((piece) =>
        (piece.coats.length ? piece.coats : [null]).map((coat, i) => ({
          piece: piece.label,
          form: piece.form,
          height_cm: piece.heightMm / 10,
          width_cm: piece.widthMm / 10,
          clay: piece.body,
          stage: piece.stage,
          fate: piece.fate ?? '',
          made: piece.madeAt.toISOString().slice(0, 10),
          by: piece.maker,
          coat: coat ? i + 1 : '',
          glaze: coat?.glazeName ?? '',
          method: coat?.method ?? '',
          times: coat?.times ?? '',
          side: coat?.side ?? '',
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
