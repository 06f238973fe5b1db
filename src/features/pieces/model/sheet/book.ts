import type { KilnRoom } from '@/core/firing';
import { USUAL_PATTERNS, ownPattern, type GlazingPattern } from '@/core/coats';
import { meant } from '@/core/spelling';
import { FORMS, type Form } from '@/core/vocabulary';
import type { StudioPattern } from '@/records/pieces';
import type { BodyChoice, FormChoice, GlazeChoice } from '../draft';
import type { Maker } from '../makers';
import { GLAZE_COLUMNS, type Column } from './rows';

/** What the words of a sheet may stand for. */
export interface SheetBook {
  readonly bodies: readonly BodyChoice[];
  readonly glazes: readonly GlazeChoice[];
  readonly patterns: readonly GlazingPattern[];
  readonly forms: readonly NamedForm[];
  /** The room of the studio's kilns. */
  readonly rooms: readonly KilnRoom[];
  /** For whom pieces may be written down, beside the member. */
  readonly makers: readonly Maker[];
}

/** A form of the library, or one of the studio's own. */
export interface NamedForm {
  readonly name: string;
  readonly form: Form;
  readonly own: FormChoice | null;
}

/** The forms by name: those in use first, then the studio's own, then the rest of the library. */
export function namedForms(ownForms: readonly FormChoice[], inUse: readonly Form[]): NamedForm[] {
  const plain = (form: Form): NamedForm => ({ name: form, form, own: null });
  const own = ownForms.map((one): NamedForm => ({ name: one.name, form: one.form, own: one }));
  const taken = new Set(own.map(({ name }) => name.toLowerCase()));
  const library = [...new Set([...inUse, ...FORMS])].filter((form) => !taken.has(form));
  return [...library.slice(0, inUse.length).map(plain), ...own, ...library.slice(inUse.length).map(plain)];
}

/** The usual ways of glazing, the studio's own before them; one of the same name stands in its place. */
export function patternsOf(own: readonly StudioPattern[]): GlazingPattern[] {
  const names = new Set(own.map(({ name }) => name.toLowerCase()));
  return [...own.map(ownPattern), ...USUAL_PATTERNS.filter(({ name }) => !names.has(name.toLowerCase()))];
}

/** The names that a cell may hold; null for a column of any words. */
export function namesFor(column: Column, book: SheetBook): readonly string[] | null {
  if (GLAZE_COLUMNS.some((one) => one === column)) return book.glazes.map(({ name }) => name);
  if (column === 'form') return book.forms.map(({ name }) => name);
  if (column === 'clay') return book.bodies.map(({ name }) => name);
  if (column === 'pattern') return book.patterns.map(({ name }) => name);
  if (column === 'maker') return book.makers.map(({ name }) => name);
  return null;
}

/**
 * The names that typed letters may mean, best first: those that begin with them, those with a word that does, those
 * that hold them. What stands in the rows above comes before the rest of its kind.
 *
 * @param recent names used on the sheet, the last one first
 */
export function matching(text: string, names: readonly string[], recent: readonly string[] = []): string[] {
  const asked = text.trim().toLowerCase();
  const known = new Set(names);
  const ordered = [...new Set([...recent.filter((name) => known.has(name)), ...names])];
  if (asked === '') return ordered;
  const rank = (name: string) => {
    const word = name.toLowerCase();
    if (word === asked) return 0;
    if (word.startsWith(asked)) return 1;
    if (word.split(/[\s,]+/).some((part) => part.startsWith(asked))) return 2;
    return word.includes(asked) ? 3 : 4;
  };
  return ordered
    .map((name) => ({ name, rank: rank(name) }))
    .filter((one) => one.rank < 4)
    .sort((a, b) => a.rank - b.rank)
    .map(({ name }) => name);
}

/** What a cell comes to when it is left: the best match of what was typed, or just that where there is none. */
export function completed(
  column: Column,
  text: string,
  book: SheetBook,
  recent: readonly string[] = [],
): string {
  const typed = text.trim();
  const names = namesFor(column, book);
  if (names === null || typed === '') return typed;
  return matching(typed, names, recent)[0] ?? typed;
}

/** The known name nearest to one that is not known; null where none is near. */
export function nearestName(text: string, names: readonly string[]): string | null {
  const low = names.map((name) => name.toLowerCase());
  const [read] = meant([text.trim().toLowerCase()], low);
  const at = low.indexOf(read!);
  return at < 0 ? null : names[at]!;
}
