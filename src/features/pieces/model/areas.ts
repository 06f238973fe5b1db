import {
  boxOfOutline,
  halfOutline,
  liesOn,
  PLAIN_AREA,
  sectorOutline,
  type Area,
  type Outline,
  type WrittenArea,
} from '@/core/coats';
import { AREA_WORDS, formShape, SECTOR_WORDS, type AreaWord, type Side } from '@/core/vocabulary';
import type { CoatDraft, PieceDraft } from '@/records/pieces';
import { sidesFor } from './draft';

const isWord = (name: string): name is keyof typeof AREA_WORDS => name in AREA_WORDS;

/** Adds an area by its name: a part of its own, or all of the first side, as its word has it. Twice is once. */
export function withArea(draft: PieceDraft, name: string): PieceDraft {
  const word = name.trim();
  if (word === '' || draft.areas.some((area) => area.name === word)) return draft;
  const isOwnPart = isWord(word) && AREA_WORDS[word];
  const side = isOwnPart ? null : sidesFor(draft)[0]!;
  const area: WrittenArea = { ...PLAIN_AREA, name: word, side, from: 0, to: 1 };
  const next = { ...draft, areas: [...draft.areas, area] };
  const sector = isWord(word) ? SECTOR_WORDS[word] : undefined;
  if (!sector) return next;
  const outline = outlineOf(sector, formShape(draft.form).plan);
  const drawn = outline ? withOutline(next, word, outline) : next;
  // A share of all that goes around, not of what one sees of it.
  return withAreaAt(drawn, word, { share: 1 / sector.of });
}

/** Where a sector lies on the drawing; null for one of a wall that is seen in part only. */
function outlineOf({ part, of }: Sector, plan: boolean): Outline | null {
  if (plan) return sectorOutline((part - 1) / of, part / of);
  return of === 2 ? halfOutline(part === 1 ? 'right' : 'left', false) : null;
}

type Sector = NonNullable<(typeof SECTOR_WORDS)[AreaWord]>;

/** Takes an area off, with the coats that lie on it alone. */
export function withoutArea(draft: PieceDraft, name: string): PieceDraft {
  return {
    ...draft,
    areas: draft.areas.filter((area) => area.name !== name),
    coats: draft.coats
      .filter((coat) => coat.area !== name)
      .map((coat) => ({ ...coat, not: coat.not.filter((one) => one !== name) })),
  };
}

/** Changes what is said of an area; its own coats go with it, and nothing is kept off a part of its own. */
export function withAreaAt(
  draft: PieceDraft,
  name: string,
  at: Partial<Omit<WrittenArea, 'name'>>,
): PieceDraft {
  const areas = draft.areas.map((area) => {
    if (area.name !== name) return area;
    const next = { ...area, ...at };
    return next.side === null ? { ...next, from: 0, to: 1, outline: null } : next;
  });
  const { side } = areas.find((area) => area.name === name)!;
  return {
    ...draft,
    areas,
    coats: draft.coats.map((coat) =>
      coat.area === name
        ? { ...coat, side: side ?? sidesFor(draft)[0]! }
        : side === null
          ? { ...coat, not: coat.not.filter((one) => one !== name) }
          : coat,
    ),
  };
}

/** The coats of its side that an area could be kept free of. */
function coatsThrough({ coats }: PieceDraft, area: Area): CoatDraft[] {
  return coats.filter((coat) => coat.area === null && liesOn({ side: coat.side, not: [] }, area));
}

/** Whether every coat of its side was kept off an area; null where there is none that could run through it. */
export function isLeftFree(draft: PieceDraft, area: Area): boolean | null {
  const through = coatsThrough(draft, area);
  return through.length === 0 ? null : through.every(({ not }) => not.includes(area.name));
}

/** Keeps every coat of its side off an area, or lets all run through it. */
export function leftFree(draft: PieceDraft, area: Area, isFree: boolean): PieceDraft {
  const through = new Set(coatsThrough(draft, area));
  return {
    ...draft,
    coats: draft.coats.map((coat) => {
      if (!through.has(coat)) return coat;
      const others = coat.not.filter((one) => one !== area.name);
      return { ...coat, not: isFree ? [...others, area.name] : others };
    }),
  };
}

/** Puts a coat on a side, or on an area alone, all over it. */
export function coatOn(draft: PieceDraft, place: { side: Side } | { area: string }): Partial<CoatDraft> {
  if ('side' in place) return { side: place.side, area: null };
  const side = draft.areas.find(({ name }) => name === place.area)?.side ?? sidesFor(draft)[0]!;
  return { area: place.area, side, from: 0, to: 1, not: [] };
}

/** Draws an area on its side, or on the first one: it reaches as far as its outline does. */
export function withOutline(draft: PieceDraft, name: string, outline: Outline): PieceDraft {
  const area = draft.areas.find((one) => one.name === name)!;
  const side = area.side ?? sidesFor(draft)[0]!;
  const { from, to } = boxOfOutline(outline, formShape(draft.form).plan);
  return withAreaAt(draft, name, { side, from, to, outline, share: null });
}
