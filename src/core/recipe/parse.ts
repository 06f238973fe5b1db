import { understandMaterial, type Line, type MaterialBook } from '../chemistry';
import { readNumber } from '../units';

/** What is wrong with an amount as written; null when nothing is. */
export type AmountError = string | null;

/**
 * Reads an amount as people write it ({@link readNumber}), with or without a percent sign or a g after it.
 *
 * @returns the number, or null with what is wrong; a blank has neither
 * @example readAmount('12,5') // { amount: 12.5, error: null }
 */
export function readAmount(written: string): { readonly amount: number | null; readonly error: AmountError } {
  const text = written.trim().replace(/\s*(%|g|grams?|parts?)$/i, '');
  if (text === '') return { amount: null, error: null };
  const wrong = (error: string) => ({ amount: null, error });
  const { value, error } = readNumber(text);
  if (error !== null) return wrong(error);
  if (value < 0) return wrong('Cannot be negative.');
  return value > 1e6 ? wrong('More than a million?') : { amount: value, error: null };
}

/** One pasted line and what was understood of it. */
export interface ParsedLine {
  readonly written: string;
  /** The material's own name when it is known, else as written. */
  readonly material: string;
  readonly known: boolean;
  readonly amount: number | null;
  readonly addition: boolean;
  readonly error: AmountError;
}

export interface ParsedRecipe {
  readonly lines: readonly ParsedLine[];
  /** Lines that are no ingredient: headings, totals, blanks left out. */
  readonly passedOver: readonly string[];
}

const ADDITIONS_HEADING = /^\W*(additions?|add|plus|colou?rants?|opacifiers?)\W*$/i;
const HEADING = /^\W*(base|recipe|materials?|ingredients?|glaze|amounts?|name|cone\b.*)\W*$/i;
const TOTAL = /^\W*(sub ?-?)?total\b/i;
const NUMBER = String.raw`[+-]?\d[\d.,'\u00a0\u202f]*`;
const NUMBER_LAST = new RegExp(String.raw`^(.*?)[\s:;|=]*(${NUMBER})\s*(?:%|g|grams?|parts?)?$`, 'i');
const NUMBER_FIRST = new RegExp(String.raw`^(${NUMBER})\s*(?:%|g|grams?|parts?)?[\s:;|]+(.+)$`, 'i');

/**
 * Reads a recipe pasted from a spreadsheet or as plain text, a line an ingredient, name and amount in either
 * order. A line that starts with + or "add", and all lines after a heading such as "Additions", are on top
 * of the base. A title before the first ingredient is no ingredient. Nothing is thrown away silently.
 *
 * @example parseRecipe('Silica\t30\nWhiting 20\n+ Tin oxide 5', BUILT_IN).lines.length // 3
 */
export function parseRecipe(text: string, book: MaterialBook): ParsedRecipe {
  const lines: ParsedLine[] = [];
  const passedOver: string[] = [];
  let additions = false;
  for (const written of text.split(/\r?\n/).map((line) => line.trim())) {
    if (written === '') continue;
    if (ADDITIONS_HEADING.test(written)) additions = true;
    if (ADDITIONS_HEADING.test(written) || HEADING.test(written) || TOTAL.test(written)) {
      passedOver.push(written);
      continue;
    }
    const added = /^(\+|add\b|plus\b)\s*/i.exec(written);
    const line = parseLine(written, written.slice(added?.[0].length ?? 0), additions || added !== null, book);
    if (isTitle(line, lines.length === 0)) passedOver.push(written);
    else lines.push(line);
  }
  return { lines, passedOver };
}

/** Words by which a line says what the recipe is and not what goes into it. */
const TITLE_WORDS = /\b(cone|glaze|recipe|version|test|slip|engobe)\b/i;

/** Whether a line names the recipe: one before any ingredient that is no known material and has no amount of its own. */
function isTitle({ written, known, amount }: ParsedLine, isFirst: boolean): boolean {
  return isFirst && !known && (amount === null || TITLE_WORDS.test(written));
}

function parseLine(written: string, text: string, addition: boolean, book: MaterialBook): ParsedLine {
  const cells = text
    .split(/\t|;|\|/)
    .map((cell) => cell.trim())
    .filter(Boolean);
  const [name, number] = cells.length > 1 ? fromCells(cells) : fromWords(text);
  const material = name.replace(/[\s,:.=-]+$/, '').replace(/^[\s*•·-]+/, '');
  const found = understandMaterial(book, material);
  const { amount, error } = readAmount(number);
  return {
    written,
    material: found?.name ?? material,
    known: found !== undefined,
    amount,
    addition,
    error: error ?? (amount === null ? 'No amount found.' : material ? null : 'No material found.'),
  };
}

/** The first cell that is a number, and the first that is not. */
function fromCells(cells: readonly string[]): readonly [string, string] {
  const isNumber = (cell: string) => /^[+-]?[\d.,]+\s*(%|g)?$/i.test(cell);
  return [cells.find((cell) => !isNumber(cell)) ?? '', cells.find(isNumber) ?? ''];
}

function fromWords(text: string): readonly [string, string] {
  const last = NUMBER_LAST.exec(text);
  if (last) return [last[1]!, last[2]!];
  const first = NUMBER_FIRST.exec(text);
  return first ? [first[2]!, first[1]!] : [text, ''];
}

/** The lines that can be calculated with: those with an amount. */
export function usableLines(parsed: ParsedRecipe): Line[] {
  return parsed.lines.flatMap(({ material, amount, addition }) =>
    amount === null || material === '' ? [] : [{ material, amount, addition }],
  );
}
