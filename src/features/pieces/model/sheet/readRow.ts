import { PLAIN_COAT, PLAIN_PIECE, type GlazingPattern } from '@/core/coats';
import { fitsNowhere } from '@/core/firing';
import { keptValue, readNumber, type Units } from '@/core/units';
import { formShape, type Measures, type Method } from '@/core/vocabulary';
import type { CoatDraft, PieceDraft } from '@/records/pieces';
import { emptyDraft, usualMethodOf, type BodyChoice, type GlazeChoice } from '../draft';
import { presetsFor } from '../presets';
import { namesFor, nearestName, type NamedForm, type SheetBook } from './book';
import { GLAZE_COLUMNS, type Cells, type Column, type Row } from './rows';

/** A coat that every piece of a sheet gets beside what its row says. */
export interface EverywhereCoat {
  readonly glazeId: string;
  readonly method: Method;
  /** A usual place by its name. */
  readonly place: string;
  /** Once when nothing is said. */
  readonly times?: number;
}

/** What is to be known of a glaze to put it on. */
export type CoatGlaze = Pick<GlazeChoice, 'id' | 'name' | 'kind' | 'usualMethod'> & {
  readonly batches: readonly { readonly id: string }[];
};

/** What a row comes to. */
export interface ReadRow {
  /** As far as the row can be read: to be drawn; null without a form and a clay. */
  readonly piece: PieceDraft | null;
  /** What stands in the way of saving it, at its cell. */
  readonly problems: Readonly<Partial<Record<Column, string>>>;
  /** Larger than any kiln: to be asked about, not refused. */
  readonly isTooLarge: boolean;
  readonly count: number;
  /** Null for the member. */
  readonly makerId: string | null;
  /** What its glazes are for, in the order of the columns; empty for a pattern that is not known. */
  readonly roles: readonly { readonly role: string; readonly isOptional: boolean }[];
}

/** A row with what it comes to. */
export interface ShownRow {
  readonly row: Row;
  readonly read: ReadRow;
}

/** Reads rows, each once for each time it is written. */
export function rowReader(...known: readonly [SheetBook, Units, readonly EverywhereCoat[]]) {
  const shown = new WeakMap<Row, ShownRow>();
  return (row: Row): ShownRow => {
    const one = shown.get(row) ?? { row, read: readRow(row.cells, ...known) };
    shown.set(row, one);
    return one;
  };
}

/** Pieces that one row may stand for. */
export const MOST_ALIKE = 60;
const MOST_TIMES = 30;

/** Reads a row: what it makes, or what is wrong at which cell. What is empty is asked for only where it is needed. */
export function readRow(
  cells: Cells,
  book: SheetBook,
  units: Units,
  everywhere: readonly EverywhereCoat[] = [],
): ReadRow {
  const problems: Partial<Record<Column, string>> = {};
  const refuse = (column: Column, message: string) => {
    problems[column] ??= message;
    return null;
  };
  const named = <T extends { readonly name: string }>(
    column: Column,
    list: readonly T[],
    missing: string,
  ) => {
    const text = cells[column].trim();
    if (text === '') return missing ? refuse(column, missing) : null;
    const found = list.find(({ name }) => name.toLowerCase() === text.toLowerCase());
    if (found) return found;
    const near = nearestName(text, namesFor(column, book)!);
    return refuse(column, `No ${WORDS[column]} “${text}”.${near ? ` Meant ${near}?` : ''}`);
  };
  const form = named<NamedForm>('form', book.forms, 'Choose a form.');
  const body = named<BodyChoice>('clay', book.bodies, 'Choose a clay.');
  const pattern = named<GlazingPattern>('pattern', book.patterns, '');
  const maker = named('maker', book.makers, '');
  const size = sizeOf(cells.size, units, (message) => refuse('size', message));
  const times = timesOf(cells.times, (message) => refuse('times', message));
  const count = countOf(cells.pieces, (message) => refuse('pieces', message));
  const glazes = GLAZE_COLUMNS.map((column, i) => {
    const slot = pattern?.glazes[i];
    if (!slot) {
      if (cells[column].trim() !== '')
        refuse(
          column,
          pattern ? `“${pattern.name}” takes ${pattern.glazes.length}.` : 'Choose a pattern for it first.',
        );
      return null;
    }
    return named<GlazeChoice>(column, book.glazes, slot.isOptional ? '' : `Choose the ${slot.role}.`);
  });
  if (cells.number.trim().length > 24) refuse('number', 'At most 24 letters.');
  if (cells.note.length > 4000) refuse('note', 'At most 4000 characters.');
  const measures = form && measuresOf(form, size);
  const laid = measures && pattern?.coatsOn(measures);
  if (measures && pattern && laid === null) refuse('pattern', `It does not go on a ${form.name}.`);
  const places = measures
    ? presetsFor({ ...emptyDraft(measures.form, ''), ...measures, profile: null }).map(({ name }) => name)
    : [];
  for (const { place } of everywhere)
    if (measures && place && !places.includes(place))
      refuse('form', `A ${form.name} has no “${place}” for the coat of every piece.`);
  const piece =
    measures && body
      ? pieceOf({ measures, form, body, glazes, times, everywhere }, cells, book, pattern, laid ?? [])
      : null;
  return {
    ...{ piece, problems, count: count ?? 1, makerId: maker?.id ?? null },
    isTooLarge: measures !== null && fitsNowhere(measures, book.rooms),
    roles: pattern?.glazes ?? [],
  };
}

const WORDS: Readonly<Partial<Record<Column, string>>> = {
  ...{ form: 'form', clay: 'clay', pattern: 'pattern', maker: 'maker' },
  ...{ glaze1: 'glaze', glaze2: 'glaze', glaze3: 'glaze', glaze4: 'glaze' },
};

type Size = { readonly heightMm: number; readonly widthMm: number } | null;

/** "12 x 8": height and width in the reader's unit; one figure is the height. */
function sizeOf(text: string, units: Units, refuse: (message: string) => null): Size | { heightMm: number } {
  if (text.trim() === '') return null;
  const parts = text.split(/\s*[x×*]\s*|\s+/).filter(Boolean);
  const read = parts.map((part) => readNumber(part));
  if (parts.length > 2 || read.some(({ value }) => value === null || !(value > 0)))
    return refuse('Height, or height x width, as 12 x 8.');
  const [heightMm, widthMm] = read.map(({ value }) => keptValue('length', value!, units));
  if ([heightMm, widthMm].some((mm) => mm !== undefined && (mm < 5 || mm > 2000)))
    return refuse('From 0.5 cm to 2 m.');
  return widthMm === undefined ? { heightMm: heightMm! } : { heightMm: heightMm!, widthMm };
}

/** "2" for all glazes, "2 1" one for each, in their order. */
function timesOf(text: string, refuse: (message: string) => null): readonly number[] {
  const parts = text
    .trim()
    .split(/[\s,/+]+/)
    .filter(Boolean);
  const times = parts.map(Number);
  if (times.some((one) => !Number.isInteger(one) || one < 1 || one > MOST_TIMES) || times.length > 4) {
    refuse('Whole numbers, as 2, or 2 1 for two glazes.');
    return [];
  }
  return times;
}

function countOf(text: string, refuse: (message: string) => null): number | null {
  if (text.trim() === '') return 1;
  const count = Number(text);
  if (Number.isInteger(count) && count >= 1 && count <= MOST_ALIKE) return count;
  return refuse(`A whole number up to ${MOST_ALIKE}.`);
}

function measuresOf({ form, own }: NamedForm, size: ReturnType<typeof sizeOf>): Measures {
  const { heightMm, widthMm } = own ?? formShape(form);
  const profile = own?.profile ?? null;
  // One figure of flat ware is how far it measures across, which is both.
  const across = size && !('widthMm' in size) && formShape(form).plan ? { widthMm: size.heightMm } : {};
  return { form, profile, heightMm, widthMm, ...size, ...across };
}

interface Parts {
  readonly measures: Measures;
  readonly form: NamedForm;
  readonly body: BodyChoice;
  readonly glazes: readonly (GlazeChoice | null)[];
  readonly times: readonly number[];
  readonly everywhere: readonly EverywhereCoat[];
}

function pieceOf(
  { measures, form, body, glazes, times, everywhere }: Parts,
  cells: Cells,
  book: SheetBook,
  pattern: GlazingPattern | null,
  laid: NonNullable<ReturnType<GlazingPattern['coatsOn']>>,
): PieceDraft {
  const coats = laid.flatMap(({ glaze: at, method, times: usual, ...place }): CoatDraft[] => {
    const glaze = glazes[at];
    if (!glaze) return [];
    // One number is of all its glazes.
    const said = times.length === 1 ? times[0] : times[at];
    return [
      {
        ...{ ...PLAIN_COAT, glazeId: glaze.id, batchId: glaze.batches[0]?.id ?? null, ...place },
        method: method ?? usualMethodOf(glaze),
        times: said ?? usual ?? glaze.usualTimes ?? 1,
      },
    ];
  });
  const draft: PieceDraft = {
    ...{ ...PLAIN_PIECE, ...measures, profile: measures.profile ?? null },
    ...{ formId: form.own?.id ?? null, bodyId: body.id },
    split: coats.some(({ side }) => side === 'left' || side === 'right'),
    areas: pattern?.areas ?? [],
    ...{ ownNumber: cells.number.trim(), note: cells.note.trim(), coats },
  };
  return everywhere.reduce((before, coat) => withEverywhere(before, coat, book.glazes), draft);
}

/** The piece with one more coat on top; a place that its form has not is left out. */
export function withEverywhere(
  draft: PieceDraft,
  coat: EverywhereCoat,
  glazes: readonly CoatGlaze[],
): PieceDraft {
  const glaze = glazes.find(({ id }) => id === coat.glazeId);
  const preset = presetsFor(draft).find(({ name }) => name === coat.place);
  if (!glaze || !preset) return draft;
  const fresh: CoatDraft = {
    ...{ ...PLAIN_COAT, glazeId: glaze.id, batchId: glaze.batches[0]?.id ?? null },
    ...{ method: coat.method, times: coat.times ?? 1, from: 0, to: 1, side: formShape(draft.form).sides[0]! },
  };
  return preset.put({ ...draft, coats: [...draft.coats, fresh] }, draft.coats.length);
}
