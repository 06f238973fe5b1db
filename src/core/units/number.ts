/** The mark before the decimals. */
export const DECIMAL_MARKS = ['.', ','] as const;
export type DecimalMark = (typeof DECIMAL_MARKS)[number];

// As the clock on its wall a studio has one, though several builds of this module may be loaded in a process.
const held = globalThis as { jitenDecimalMark?: DecimalMark };

/** Sets the mark that all numbers are written with from here on. */
export function setDecimalMark(mark: DecimalMark): void {
  held.jitenDecimalMark = mark;
}

/** The mark that was set last; a point until then. */
export function decimalMark(): DecimalMark {
  return held.jitenDecimalMark ?? '.';
}

/**
 * A number for the eye, with the studio's mark before its decimals. What a machine reads (downloads, addresses, styles)
 * is not written with it.
 *
 * @param none what is said for a number that is not there
 * @example figures(1.5, 2) // '1.50', or '1,50' where the mark is a comma
 */
export function figures(value: number | null | undefined, digits: number, none = ''): string {
  return value === null || value === undefined ? none : value.toFixed(digits).replace('.', decimalMark());
}

/** A number for the eye without noughts at its end. @example shortFigures(1.5, 2) // '1.5' */
export function shortFigures(value: number, most = 10): string {
  return String(Number(value.toFixed(most))).replace('.', decimalMark());
}

/**
 * Ways of writing thousands, where the mark of decimals is a point: 1,000 and 1 000 and 1.000; three decimals after the
 * mark are taken at their word.
 */
const THOUSANDS = [
  /^[+-]?\d{1,3}([, '\u00a0\u202f]\d{3})+([.,]\d+)?$/,
  /^[+-]?\d{1,3}(\.000|(\.\d{3}){2,})$/,
];
/** With both marks there is no doubt: 1,200.5 and 1.200,5. */
const GROUPED = /^([+-]?\d{1,3}(?:,\d{3})+\.\d+|[+-]?\d{1,3}(?:\.\d{3})+,\d+)$/;
const DECIMAL = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/;
const FRACTION = /^([+-]?)(?:(\d+)[ -])?(\d+)\/(\d+)$/;
/** ¼ and its kin, which stand for "1/4" and may follow a whole number. */
const VULGAR = /[¼-¾⅐-⅞]/g;

/** A number that was read, or what is wrong with it as it was written. */
export type ReadNumber =
  { readonly value: number; readonly error: null } | { readonly value: null; readonly error: string };

/**
 * Reads a number as people write it: comma or point for the decimals, fractions as 1/2, 4 1/2, 4-1/2 and 4½, a minus of
 * any length. What could be a thousands separator is refused rather than guessed at.
 *
 * @example readNumber('4½') // { value: 4.5, error: null }
 */
export function readNumber(written: string): ReadNumber {
  const text = plainFigures(written);
  const wrong = (error: string) => ({ value: null, error });
  if (GROUPED.test(text)) {
    const [whole, part] = text.split(/[.,](?=\d*$)/) as [string, string];
    return { value: Number(`${whole.replace(/[.,]/g, '')}.${part}`), error: null };
  }
  const pointed = decimalMark() === '.' ? text : text.replace(/[.,]/g, (mark) => (mark === '.' ? ',' : '.'));
  if (THOUSANDS.some((pattern) => pattern.test(pointed)) && !/^[+-]?0[.,]/.test(text))
    return wrong(
      `${text}: is that thousands or decimals? Write ${text.replace(/\D/g, '')} or one more decimal.`,
    );
  if (DECIMAL.test(text)) return { value: Number(text.replace(',', '.')), error: null };
  const [, sign, whole = '0', above, below] = FRACTION.exec(text) ?? [];
  if (above === undefined) return wrong(`${text} is no number.`);
  if (Number(below) === 0) return wrong(`${text} divides by zero.`);
  const size = Number(whole) + Number(above) / Number(below);
  return { value: sign === '-' ? -size : size, error: null };
}

/** Figures with their fractions and signs spelled in plain characters. */
export function plainFigures(written: string): string {
  return written
    .replace(VULGAR, (one) => ` ${one.normalize('NFKC').replace('⁄', '/')}`)
    .replace(/[−–]/g, '-')
    .replace(/\s*\/\s*/g, '/')
    .trim();
}
