import { shortFigures } from '@/core/units';
import { ulid } from 'ulid';
import { understandMaterial, type Line, type MaterialBook } from '@/core/chemistry';
import { baseTotal, readAmount } from '@/core/recipe';

/** One line as it is typed: nothing is thrown away that is not understood. */
export interface RecipeRow {
  readonly key: string;
  readonly material: string;
  readonly amount: string;
}

/** A recipe as it is typed: the base, and what is laid on top of it. */
export interface RecipeText {
  readonly base: readonly RecipeRow[];
  readonly additions: readonly RecipeRow[];
  readonly note: string;
}

/** A line to be filled in. */
export function blankRow(): RecipeRow {
  return { key: ulid(), material: '', amount: '' };
}

const isBlank = (row: RecipeRow) => row.material.trim() === '' && row.amount.trim() === '';

/** Exactly one blank line at the end. */
export function withBlankEnd(
  rows: readonly RecipeRow[],
  blank: RecipeRow = blankRow(),
): readonly RecipeRow[] {
  const last = rows.findLastIndex((row) => !isBlank(row));
  const kept = rows.slice(0, last + 1);
  return [...kept, rows[last + 1] ?? blank];
}

/** Recipe lines as text to be edited; `name` makes the keys, so that server and browser agree. */
export function textOf(lines: readonly Line[], name: string): RecipeText {
  const rows = (addition: boolean): readonly RecipeRow[] =>
    withBlankEnd(
      lines
        .filter((line) => Boolean(line.addition) === addition)
        .map(({ material, amount }, i) => ({
          key: `${name}${addition ? '+' : ''}${i}`,
          material,
          amount: String(shortFigures(amount, 3)),
        })),
      { key: `${name}${addition ? '+' : ''}end`, material: '', amount: '' },
    );
  return { base: rows(false), additions: rows(true), note: '' };
}

/** The most lines a recipe may have. */
export const MOST_LINES = 200;

/** What a typed recipe comes to. */
export interface Understood {
  /** Every line that can be calculated with. */
  readonly lines: readonly Line[];
  /** What must be fixed before it can be saved, by row key. */
  readonly errors: Readonly<Record<string, string>>;
  /** What is worth a look, by row key. */
  readonly hints: Readonly<Record<string, string>>;
  /** What is wrong with the whole; null when nothing is. */
  readonly whole: string | null;
}

/**
 * Reads a recipe as it is typed: what can be calculated with, and what is wrong where. A half-typed line does
 * not stand in the way of the others.
 */
export function understand(text: RecipeText, book: MaterialBook): Understood {
  const errors: Record<string, string> = {};
  const hints: Record<string, string> = {};
  const lines: Line[] = [];
  const seen = new Set<string>();
  for (const [rows, addition] of [
    [text.base, false],
    [text.additions, true],
  ] as const) {
    for (const row of rows.filter((one) => !isBlank(one))) {
      const material = row.material.trim();
      const { amount, error } = readAmount(row.amount);
      if (error) errors[row.key] = error;
      else if (material === '') errors[row.key] = 'Which material?';
      else if (amount === null) hints[row.key] = 'How much?';
      else lines.push({ material, amount, addition });
      if (material && !book.find(material)) hints[row.key] ??= unknownHint(material, book);
      const twice = `${addition}${material.toLowerCase()}`;
      if (material && seen.has(twice)) hints[row.key] ??= 'Here twice: counted together.';
      seen.add(twice);
    }
  }
  return { lines, errors, hints, whole: wholeFault(lines, text) };
}

function unknownHint(material: string, book: MaterialBook): string {
  const meant = understandMaterial(book, material);
  return meant
    ? `Same as ${meant.name}? Choose that; until then it is left out of the calculation.`
    : 'Not in your materials list: left out of the calculation.';
}

function wholeFault(lines: readonly Line[], text: RecipeText): string | null {
  const typed = [...text.base, ...text.additions].filter((row) => !isBlank(row)).length;
  if (typed > MOST_LINES) return `${typed} lines: more than ${MOST_LINES}. Is that one recipe?`;
  if (typed > 0 && !(baseTotal(lines) > 0)) return 'The base adds up to 0: nothing to weigh.';
  return null;
}

/** Lines that lack an amount: they may be half-typed while calculating, not when saving. */
export function unfinished(text: RecipeText): Readonly<Record<string, string>> {
  const rows = [...text.base, ...text.additions].filter((row) => row.material.trim() && !row.amount.trim());
  return Object.fromEntries(rows.map((row) => [row.key, 'How much?']));
}
