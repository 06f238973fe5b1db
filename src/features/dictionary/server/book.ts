import { PALETTES } from '@/ui/palette';
import { once } from 'node:events';
import type { Writable } from 'node:stream';
import { openPdf, setLetterhead, type Letterhead } from '@/ui/pdf';

/** The page of a bound book, pt: A4 with a wider margin where it is bound. */
const PAGE = { width: 595, height: 842, top: 64, bottom: 800, inner: 62, outer: 46, gap: 18 } as const;
const COLUMN = (PAGE.width - PAGE.inner - PAGE.outer - PAGE.gap) / 2;
const TAB = { width: 22, height: 30, first: 70 } as const;
const INK = PALETTES.light.ink;
const QUIET = '#5B5F66';

/** How a run of text is set. */
export interface Set {
  readonly font?: 'plain' | 'bold' | 'head';
  readonly size?: number;
  readonly colour?: 'ink' | 'quiet';
  /** White above, pt. */
  readonly gap?: number;
  /** Left out at the left, pt. */
  readonly indent?: number;
  /** The headword that a click on it leads to. */
  readonly goTo?: string;
}

/** A book while it is set: two columns a page, guide words and thumb tabs put in when a page is full. */
export interface Book {
  /** Starts a part whose pages carry a tab. `place` is the tab's step on the edge, from 0. */
  readonly part: (tab: string, place: number) => void;
  /** Names the headword that what follows belongs to, for the guide words, and gives its page number. */
  readonly headword: (text: string) => number;
  readonly text: (text: string, set?: Set) => void;
  /** A picture at the left with lines beside it; they stay together. */
  readonly figure: (
    jpeg: Buffer | null,
    colour: string | null,
    lines: readonly (readonly [string, Set?])[],
  ) => void;
  readonly newPage: () => void;
  readonly finish: () => Promise<void>;
}

/** Opens a book that is written as it is set: pages that are full leave the memory. */
export async function openBook(title: string, sink: Writable, head: Letterhead): Promise<Book> {
  const { pdf } = await openPdf(title, sink);
  let [page, column, y]: [number, number, number] = [0, 0, PAGE.top];
  let [first, last] = ['', ''];
  let tab: { readonly words: string; readonly place: number } | null = null;

  const isRight = () => page % 2 === 1;
  const left = () => (isRight() ? PAGE.inner : PAGE.outer) + column * (COLUMN + PAGE.gap);
  const close = () => {
    if (page === 0) return;
    if (first) {
      const from = isRight() ? PAGE.inner : PAGE.outer;
      const second = from + COLUMN + PAGE.gap;
      pdf.font('head').fontSize(11).fillColor(INK);
      pdf.text(first, from, 34, { width: COLUMN, lineBreak: false, ellipsis: true });
      if (last !== first) pdf.text(last, second, 34, { width: COLUMN, align: 'right', lineBreak: false });
      pdf
        .moveTo(from, 52)
        .lineTo(second + COLUMN, 52)
        .lineWidth(0.6)
        .stroke(INK);
    }
    pdf.font('plain').fontSize(9).fillColor(QUIET);
    pdf.text(String(page), 0, 816, { width: PAGE.width, align: 'center', lineBreak: false });
    if (tab) {
      const top = TAB.first + tab.place * (TAB.height + 2);
      const x = isRight() ? PAGE.width - TAB.width : 0;
      pdf.rect(x, top, TAB.width, TAB.height).fill(INK);
      pdf.font('head').fontSize(13).fillColor('#FFFFFF');
      pdf.text(tab.words, x, top + 8, { width: TAB.width, align: 'center', lineBreak: false });
    }
    pdf.fillColor(INK);
  };
  const newPage = () => {
    close();
    pdf.addPage();
    // What is under way goes on there, and so is its first headword.
    [page, column, y, first] = [page + 1, 0, PAGE.top, last];
    if (page === 1) y = Math.max(y, setLetterhead(pdf, head, left(), left() + 2 * COLUMN + PAGE.gap) + 12);
  };
  const room = (height: number) => {
    if (page === 0) newPage();
    if (y + height <= PAGE.bottom || y === PAGE.top) return;
    if (column === 0) [column, y] = [1, PAGE.top];
    else newPage();
  };
  const style = ({ font = 'plain', size = 9.5, colour = 'ink' }: Set = {}) =>
    pdf
      .font(font)
      .fontSize(size)
      .fillColor(colour === 'ink' ? INK : QUIET);
  const text = (words: string, set: Set = {}) => {
    const { gap = 0, indent = 0 } = set;
    const width = COLUMN - indent;
    const height = style(set).heightOfString(words, { width });
    room(gap + height);
    y += y === PAGE.top ? 0 : gap;
    style(set).text(words, left() + indent, y, { width, ...(set.goTo && { goTo: set.goTo }) });
    y += height;
  };
  return {
    part: (words, place) => {
      newPage();
      tab = { words, place };
      [first, last] = ['', ''];
    },
    headword: (words) => {
      room(90);
      const isAtTop = column === 0 && y === PAGE.top;
      first = isAtTop ? words : first || words;
      last = words;
      pdf.addNamedDestination(words, 'XYZ', null, y, null);
      return page;
    },
    text,
    figure: (jpeg, colour, lines) => {
      const [wide, high] = [74, 92];
      const width = COLUMN - wide - 8;
      const heights = lines.map(
        ([words, set]) => style(set).heightOfString(words, { width }) + (set?.gap ?? 1),
      );
      const height = Math.max(
        jpeg || colour ? high : 0,
        heights.reduce((sum, one) => sum + one, 0),
      );
      room(height + 6);
      const [x, top] = [left(), y + 3];
      if (jpeg) {
        pdf.rect(x, top, wide, high).fill('#C9C9C9');
        pdf.image(jpeg, x, top, { fit: [wide, high], align: 'center', valign: 'center' });
      } else if (colour) pdf.rect(x, top, wide, high).fill(colour);
      let at = top;
      for (const [i, [words, set]] of lines.entries()) {
        style(set).text(words, x + wide + 8, at, { width });
        at += heights[i]!;
      }
      y = top + height + 4;
    },
    newPage,
    finish: async () => {
      close();
      const written = once(sink, 'finish');
      pdf.end();
      await written;
    },
  };
}
