import 'server-only';
import {
  aligned,
  grams,
  millilitres,
  sayMessage,
  sayQuantity,
  type Quantity,
  type Units,
} from '@/core/units';
import { cautionsIn, DUST_CAUTION, type MaterialBook } from '@/core/chemistry';
import { batchOf } from '@/core/recipe';
import { targetWords } from '@/core/rounds';
import type { RecipeInUse } from '@/records/materials';
import type { Round, RoundCell } from '@/records/rounds';
import type { PrintFor } from '@/features/shared/server/printFor';
import { openPdf, setLetterhead } from '@/ui/pdf';
import { cupsOf, isMoreThanDipped, layingWords } from '../model/laying';
import { pourFor } from '../model/pouring';

/** How the sheet is wanted. */
export interface BenchWay {
  readonly way: 'by weight' | 'by volume';
  /** Base grams of each cup. */
  readonly grams: number;
  /** Millilitres of each cup. */
  readonly ml: number;
  /** Specific gravity of a corner slop, by glaze id. */
  readonly gravityOf: (id: string) => number;
}

interface Part {
  readonly title: string;
  readonly words: string;
  readonly rows: readonly (readonly [string, string])[];
}

const LEFT = 42;
const RIGHT = 553;
const BOTTOM = 800;

/** The bench sheet of a round as a PDF, for a bench without a printer of its own: a box to tick before each line. */
export async function benchPdf(
  round: Round,
  cells: readonly RoundCell[],
  corners: readonly RecipeInUse[],
  book: MaterialBook,
  way: BenchWay,
  { head, units }: PrintFor,
): Promise<Buffer> {
  const { pdf, finish } = await openPdf(`Bench sheet, round ${round.number}`);
  pdf.addPage();
  const top = Math.max(40, setLetterhead(pdf, head, LEFT, RIGHT) + 12);
  const parts = partsOf(round, cells, corners, book, way, units);
  const cautions = cells.some(({ recipe }) => recipe)
    ? [
        DUST_CAUTION,
        ...cautionsIn(
          cells.flatMap(({ recipe }) => recipe?.map(({ material }) => material) ?? []),
          book,
        ),
      ]
    : [];
  pdf
    .font('bold')
    .fontSize(18)
    .text(`${round.name}: bench sheet`, LEFT, top, { width: RIGHT - LEFT });
  pdf.font('plain').fontSize(10);
  for (const caution of cautions) pdf.text(caution, LEFT, pdf.y + 4, { width: RIGHT - LEFT });
  for (const part of parts) drawPart(pdf, part);
  return finish();
}

function drawPart(pdf: PDFKit.PDFDocument, { title, words, rows }: Part): void {
  if (pdf.y + 40 + Math.min(rows.length, 8) * 16 > BOTTOM) pdf.addPage().y = 30;
  pdf
    .font('bold')
    .fontSize(13)
    .text(title, LEFT, pdf.y + 14, { width: RIGHT - LEFT });
  if (words)
    pdf
      .font('plain')
      .fontSize(10)
      .text(words, LEFT, pdf.y + 1, { width: RIGHT - LEFT });
  for (const [name, amount] of rows) {
    if (pdf.y + 18 > BOTTOM) pdf.addPage().y = 30;
    const y = pdf.y + 4;
    if (!name.startsWith('all together')) pdf.rect(LEFT, y, 10, 10).stroke();
    pdf
      .font('bold')
      .fontSize(11)
      .text(amount, RIGHT - 90, y, { width: 90, align: 'right', lineBreak: false });
    pdf.font('plain').text(name, LEFT + 18, y, { width: RIGHT - LEFT - 120 });
  }
}

function partsOf(
  round: Round,
  all: readonly RoundCell[],
  corners: readonly RecipeInUse[],
  book: MaterialBook,
  { way, grams: base, ml, gravityOf }: BenchWay,
  units: Units,
): Part[] {
  const say = (quantity: Quantity) => sayQuantity(quantity, units);
  const pieces = (cell: RoundCell) => cell.pieces.map(({ label }) => label).join(' ');
  const cells = cupsOf(all);
  const isBlended = all.some(({ recipe }) => recipe);
  const layings = all
    .filter((cell) => !isBlended || isMoreThanDipped(cell.stack))
    .map((cell): Part => ({
      title: `${cell.label}   ${pieces(cell)}`,
      words: `on ${[cell.body, cell.texture].filter(Boolean).join(', ')}, for ${targetWords(cell)}`,
      rows: [[sayMessage(layingWords(cell.stack, round), units), '']],
    }));
  if (way === 'by volume') {
    const plan = pourFor(cells, corners, book, gravityOf, ml);
    if (typeof plan === 'string') return [{ title: plan, words: '', rows: [] }];
    const nameOf = (id: string) => corners.find(({ glazeId }) => glazeId === id)?.name ?? id;
    const pours = plan.order.map((id): Part => ({
      title: nameOf(id),
      words: `${say(millilitres(Math.ceil(plan.totals[id]!)))} in all; pour it into all its cups before the next.`,
      rows: plan.cells
        .filter((cell) => (cell.ml[id] ?? 0) > 0)
        .map((cell) => [cell.label, say(aligned(millilitres(cell.ml[id]!, 1)))]),
    }));
    return [...pours, ...layings];
  }
  const weighed = cells.flatMap((cell): Part[] => {
    if (!cell.recipe) return [];
    const batch = batchOf(cell.recipe, { grams: base });
    const lines = batch.lines.filter((line) => line.grams > 0);
    const weights = {
      title: `${cell.label}   ${pieces(cell)}`,
      words: cell.words,
      rows: [
        ...lines.map(
          (line) =>
            [
              `${line.addition ? 'addition: ' : ''}${line.material}`,
              say(aligned(grams(line.grams, 2))),
            ] as const,
        ),
        ['all together, to check', say(aligned(grams(batch.totalGrams, 2)))] as const,
      ],
    };
    return [weights];
  });
  return [...weighed, ...layings];
}
