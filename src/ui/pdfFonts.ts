import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Fonts that stand in for letters which the three main fonts lack, in the order in which they are asked. Each is read
 * when a text first needs it; the large ones hold Han with kana, and Hangul.
 */
const FALLBACKS = [
  'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff',
  ...['latin-ext', 'greek', 'greek-ext', 'cyrillic', 'cyrillic-ext', 'vietnamese', 'devanagari'].map(
    (subset) => `noto-sans/files/noto-sans-${subset}-400-normal.woff`,
  ),
  'noto-sans-sc/files/noto-sans-sc-chinese-simplified-400-normal.woff',
  'noto-sans-kr/files/noto-sans-kr-korean-400-normal.woff',
] as const;

/** What is used of pdfkit's own font and of the two functions through which all its text goes. */
interface PdfFont {
  readonly font: { hasGlyphForCodePoint(code: number): boolean };
  /** Thousandths of the size. */
  readonly ascender: number;
}

interface TextOptions {
  readonly align?: string;
  readonly width?: number | undefined;
  readonly lineWidth?: number;
  readonly baseline?: string | number;
}

interface TextParts {
  _font: PdfFont;
  readonly _fontSize: number;
  widthOfString(text: string, options?: TextOptions): number;
  _fragment(text: string, x: number, y: number, options: TextOptions): void;
  font(name: string): unknown;
  registerFont(name: string, bytes: Buffer): unknown;
}

/** A stretch of text in one font: null is the font that was set. */
export interface Run {
  readonly text: string;
  readonly font: string | null;
}

/**
 * Cuts a text where its font changes. A letter goes to the first font that has it; one that none has stays in the set
 * font and prints as its empty box, and so does a space, which every font has.
 *
 * @param has whether a font has the letter of a code point; null asks the set font
 */
export function runsOf(text: string, has: (font: string | null, code: number) => boolean): Run[] {
  const runs: { text: string; font: string | null }[] = [];
  for (const letter of text) {
    const code = letter.codePointAt(0)!;
    const font = has(null, code) ? null : (FALLBACKS.find((name) => has(name, code)) ?? null);
    const last = runs.at(-1);
    if (last && last.font === font) last.text += letter;
    else runs.push({ text: letter, font });
  }
  return runs;
}

/** Lets every text of a document, drawn or measured, use the fallback fonts for letters that its font lacks. */
export function withFallbackFonts(document: PDFKit.PDFDocument): void {
  const pdf = document as unknown as TextParts;
  const fonts = new Map<string, PdfFont>();
  const measure = pdf.widthOfString.bind(pdf);
  const draw = pdf._fragment.bind(pdf);
  const fontNamed = (name: string): PdfFont => {
    const known = fonts.get(name);
    if (known) return known;
    pdf.registerFont(name, readFileSync(join(process.cwd(), 'node_modules/@fontsource', name)));
    const set = pdf._font;
    pdf.font(name);
    const font = pdf._font;
    pdf._font = set;
    fonts.set(name, font);
    return font;
  };
  const cut = (text: string): Run[] => {
    const set = pdf._font;
    return runsOf(text, (name, code) => (name ? fontNamed(name) : set).font.hasGlyphForCodePoint(code));
  };
  const inFont = <T>(name: string | null, work: () => T): T => {
    const set = pdf._font;
    if (name) pdf._font = fontNamed(name);
    try {
      return work();
    } finally {
      pdf._font = set;
    }
  };
  pdf.widthOfString = (text, options) => {
    // What plain letters need is asked thousands of times for a book.
    if (/^[\x20-\x7e]*$/.test(text)) return measure(text, options);
    return cut(text).reduce((sum, run) => sum + inFont(run.font, () => measure(run.text, options)), 0);
  };
  pdf._fragment = (given, x, y, options) => {
    const text = given.replaceAll('\n', '');
    const runs = cut(text);
    if (runs.every(({ font }) => font === null)) return draw(given, x, y, options);
    const { align, width, lineWidth = 0, baseline } = options;
    const free = width ? lineWidth - pdf.widthOfString(text.trimEnd(), options) : 0;
    let at = x + (align === 'right' ? free : align === 'center' ? free / 2 : 0);
    // All runs stand on the base line of the set font.
    const drop = baseline === undefined ? (pdf._font.ascender / 1000) * pdf._fontSize : 0;
    const alone = { ...options, width: undefined, textWidth: undefined, wordCount: undefined };
    for (const run of runs)
      inFont(run.font, () => {
        draw(run.text, at, y + drop, { ...alone, baseline: baseline ?? 'alphabetic' });
        at += measure(run.text, options);
      });
  };
}
