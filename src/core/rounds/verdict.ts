import { labOf, paletteDifference, plainPalette, type Palette } from '../colour';
import { benjaminiHochberg, COLOUR_TOLERANCE, fisherTwoSided } from '../evidence';

/** What was seen on one piece of a test. */
export interface SeenPiece {
  /** The firing that it came out of. */
  readonly firing: string;
  /** "#rrggbb"; null where nobody saw or measured it. */
  readonly colour: string | null;
  /** All colours that were measured with it; the one alone when left out. */
  readonly palette?: Palette | null;
  readonly surface: string | null;
  readonly movement: string | null;
  /** Plain ones. */
  readonly defects: readonly string[];
}

/** The read pieces of the same test on one level: one clay, one texture, one target. */
export interface SeenLevel {
  /** In words: "Cutting Red". */
  readonly level: string;
  readonly pieces: readonly SeenPiece[];
}

/** Whether what varies makes a difference to one test. */
export interface Verdict {
  /**
   * "may" where levels differ, but by so few pieces that it may be chance, or in firings of their own; null until two
   * levels are read.
   */
  readonly matters: 'plainly' | 'may' | 'hardly' | null;
  /** What differs, or how little, in words and numbers. */
  readonly differences: readonly string[];
  /** Levels with a read piece, of how many; the fewest pieces on one of them. */
  readonly read: number;
  readonly of: number;
  readonly pieces: number;
}

/** A difference rarer than this by chance is plain, false finds of all tests together reckoned in. */
const CHANCE = 0.05;

/** One thing that two levels may differ in. */
interface Compared {
  readonly words: string;
  /** Whether most pieces of one level show it and no more than half of the other. */
  readonly isShown: boolean;
  /** How likely chance alone does as much; null for a colour, which has no counts. */
  readonly p: number | null;
  /** Whether the two levels share no firing. */
  readonly isApart: boolean;
  /** Whether both have pieces enough to tell twins' differences from theirs. */
  readonly hasTwins: boolean;
}

/**
 * Whether the clay (the texture, the target) matters, for each of several tests: colours further apart than twins of
 * one level are and than the eye forgives, surface or movement that most pieces of one level have and of another have
 * not, a defect on most pieces here and on few there. The chances of all tests are corrected together (Benjamini and
 * Hochberg), and of the two levels that are furthest apart for all pairs they were picked from (Bonferroni).
 *
 * @example verdictsOn([[{ level: 'Cutting Red', pieces: [matte] }, { level: 'Buffer White', pieces: [gloss] }]])
 *   // [{ matters: 'may', differences: ['matte: 1 of 1 on Cutting Red, 0 of 1 on Buffer White (so few may be chance)'], … }]
 */
export function verdictsOn(tests: readonly (readonly SeenLevel[])[]): Verdict[] {
  const compared = tests.map((levels) => comparedOn(levels.filter(({ pieces }) => pieces.length > 0)));
  const corrected = benjaminiHochberg(compared.flat().flatMap(({ p }) => p ?? []));
  let next = 0;
  return tests.map((levels, i): Verdict => {
    const read = levels.filter(({ pieces }) => pieces.length > 0);
    const judged = compared[i]!.map((one) => {
      const isRare = one.p === null ? one.hasTwins : corrected[next++]! <= CHANCE;
      return { ...one, isSure: isRare && !one.isApart };
    });
    const shown = judged.filter(({ isShown }) => isShown);
    const isPlain = shown.some(({ isSure }) => isSure);
    return {
      matters: read.length < 2 ? null : isPlain ? 'plainly' : shown.length > 0 ? 'may' : 'hardly',
      differences: shown.length > 0 ? shown.map(doubted) : judged.filter(isColour).map(({ words }) => words),
      ...{ read: read.length, of: levels.length },
      pieces: Math.min(...read.map(({ pieces }) => pieces.length), Number.MAX_SAFE_INTEGER),
    };
  });
}

const isColour = ({ p }: Pick<Compared, 'p'>) => p === null;

/** A difference in words, with why it may be none. */
function doubted({ words, isSure, isApart }: Compared & { readonly isSure: boolean }): string {
  if (isSure) return words;
  return `${words} (${isApart ? 'in different firings' : 'so few may be chance'})`;
}

/** Everything that read levels may differ in. */
function comparedOn(levels: readonly SeenLevel[]): Compared[] {
  if (levels.length < 2) return [];
  return [
    ...colourDifference(levels),
    // One word of two says it: where it is not gloss it is something else.
    ...first(wordDifferences(levels, ({ surface }) => (surface ? [surface] : []))),
    ...first(wordDifferences(levels, ({ movement }) => (movement ? [movement] : []))),
    ...wordDifferences(levels, ({ defects }) => defects),
  ];
}

/** The one that is shown, else any. */
function first(all: readonly Compared[]): Compared[] {
  return [all.find(({ isShown }) => isShown) ?? all[0]].filter((one) => one !== undefined);
}

/** Whether two levels came out of no firing together. */
function areApart(one: SeenLevel, other: SeenLevel): boolean {
  return !one.pieces.some(({ firing }) => other.pieces.some((piece) => piece.firing === firing));
}

/** The two levels whose colours are furthest apart, against how far twins are. */
function colourDifference(levels: readonly SeenLevel[]): Compared[] {
  const coloured = levels.flatMap((level) => {
    const colours = level.pieces.flatMap(({ palette, colour }) =>
      palette ? [palette] : colour ? [plainPalette(labOf(colour))] : [],
    );
    return colours.length ? [{ level, colours }] : [];
  });
  const pairs = coloured.flatMap((one, i) => coloured.slice(i + 1).map((other) => ({ one, other })));
  const [apart] = pairs
    .map((pair) => ({
      ...pair,
      by: middle(pair.one.colours.flatMap((a) => pair.other.colours.map((b) => paletteDifference(a, b)))),
    }))
    .sort((a, b) => b.by - a.by);
  if (!apart) return [];
  const twins = coloured.flatMap(({ colours }) =>
    colours.flatMap((a, i) => colours.slice(i + 1).map((b) => paletteDifference(a, b))),
  );
  const noise = twins.length ? middle(twins) : null;
  const said = noise === null ? 'no twins to compare' : `twins differ by ${noise.toFixed(1)}`;
  const { one, other, by } = apart;
  return [
    {
      words: `colour: difference ${by.toFixed(1)} between ${one.level.level} and ${other.level.level}, ${said}`,
      isShown: by > COLOUR_TOLERANCE && by > 2 * (noise ?? 0),
      p: null,
      isApart: areApart(one.level, other.level),
      hasTwins: Math.min(one.colours.length, other.colours.length) > 1,
    },
  ];
}

function middle(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length / 2;
  return (sorted[Math.ceil(half) - 1]! + sorted[Math.floor(half)]!) / 2;
}

/** For each word the level that shows it most against the one that shows it least, with the counts of all. */
function wordDifferences(
  levels: readonly SeenLevel[],
  wordsOf: (piece: SeenPiece) => readonly string[],
): Compared[] {
  const shown = levels.flatMap(({ pieces }) => pieces.map(wordsOf));
  // What all of them show tells none from another, and counts as no test.
  const all = [...new Set(shown.flat())].filter((word) => !shown.every((words) => words.includes(word)));
  const pairs = (levels.length * (levels.length - 1)) / 2;
  return all.map((word) => {
    const counts = levels.map((level) => ({
      level,
      has: level.pieces.filter((piece) => wordsOf(piece).includes(word)).length,
      of: level.pieces.length,
    }));
    const byShare = counts.toSorted((a, b) => b.has / b.of - a.has / a.of);
    const [most, least] = [byShare[0]!, byShare.at(-1)!];
    const p = fisherTwoSided([
      [most.has, most.of - most.has],
      [least.has, least.of - least.has],
    ]);
    return {
      words: `${word}: ${counts.map(({ level, has, of }) => `${has} of ${of} on ${level.level}`).join(', ')}`,
      isShown: most.has * 2 > most.of && least.has * 2 <= least.of,
      p: Math.min(1, p * pairs),
      isApart: areApart(most.level, least.level),
      hasTwins: true,
    };
  });
}
