import { deltaE00, labOf } from '../colour';
import { COLOUR_TOLERANCE, fisherTwoSided } from '../evidence';

/** What was seen on one piece of a test. */
export interface SeenPiece {
  /** "#rrggbb"; null where nobody saw or measured it. */
  readonly colour: string | null;
  readonly surface: string | null;
  readonly movement: string | null;
  /** Plain ones. */
  readonly defects: readonly string[];
}

/** The read pieces of the same test on one level: one clay, one texture, one fire. */
export interface SeenLevel {
  /** In words: "Cutting Red". */
  readonly level: string;
  readonly pieces: readonly SeenPiece[];
}

/** Whether what varies makes a difference to one test. */
export interface Verdict {
  /** Null until two levels are read. */
  readonly matters: boolean | null;
  /** What differs, or how little, in words and numbers. */
  readonly differences: readonly string[];
  /** Levels with a read piece, of how many. */
  readonly read: number;
  readonly of: number;
}

/** Twins that differ by chance as much would be no news: the usual limit of chance. */
const CHANCE = 0.05;

/**
 * Whether the clay (the texture, the fire) matters for one test: colours further apart than twins of one level are and
 * than the eye forgives, surface or movement that most pieces of one level have and of another have not, a defect on
 * most pieces here and on few there. Small counts are said to be small.
 *
 * @example verdictOf([{ level: 'Cutting Red', pieces: [matte] }, { level: 'Buffer White', pieces: [gloss] }])
 *   // { matters: true, differences: ['matte: 1 of 1 on Cutting Red, 0 of 1 on Buffer White (so few may be chance)'], … }
 */
export function verdictOf(levels: readonly SeenLevel[]): Verdict {
  const read = levels.filter(({ pieces }) => pieces.length > 0);
  const counts = { read: read.length, of: levels.length };
  if (read.length < 2) return { matters: null, differences: [], ...counts };
  const colour = colourDifference(read);
  const differences = [
    ...(colour?.isPlain ? [colour.words] : []),
    // One word of two says it: where it is not gloss it is something else.
    ...wordDifference(read, ({ surface }) => (surface ? [surface] : [])).slice(0, 1),
    ...wordDifference(read, ({ movement }) => (movement ? [movement] : [])).slice(0, 1),
    ...wordDifference(read, ({ defects }) => defects),
  ];
  if (differences.length > 0) return { matters: true, differences, ...counts };
  return { matters: false, differences: colour ? [colour.words] : [], ...counts };
}

/** The two levels whose colours are furthest apart, and whether that is more than twins differ. */
function colourDifference(levels: readonly SeenLevel[]) {
  const coloured = levels.flatMap(({ level, pieces }) => {
    const colours = pieces.flatMap(({ colour }) => (colour ? [labOf(colour)] : []));
    return colours.length ? [{ level, colours }] : [];
  });
  if (coloured.length < 2) return null;
  const apart = coloured
    .flatMap((one, i) =>
      coloured.slice(i + 1).map((other) => {
        const pairs = one.colours.flatMap((a) => other.colours.map((b) => deltaE00(a, b)));
        return { one: one.level, other: other.level, by: middle(pairs) };
      }),
    )
    .reduce((most, pair) => (pair.by > most.by ? pair : most));
  const twins = coloured.flatMap(({ colours }) =>
    colours.flatMap((a, i) => colours.slice(i + 1).map((b) => deltaE00(a, b))),
  );
  const noise = twins.length ? middle(twins) : null;
  const said = noise === null ? 'no twins to compare' : `twins differ by ${noise.toFixed(1)}`;
  return {
    isPlain: apart.by > COLOUR_TOLERANCE && apart.by > 2 * (noise ?? 0),
    words: `colour: ΔE00 ${apart.by.toFixed(1)} between ${apart.one} and ${apart.other}, ${said}`,
  };
}

function middle(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length / 2;
  return (sorted[Math.ceil(half) - 1]! + sorted[Math.floor(half)]!) / 2;
}

/** What most pieces of some levels show and most of others do not, with its counts. */
function wordDifference(
  levels: readonly SeenLevel[],
  wordsOf: (piece: SeenPiece) => readonly string[],
): string[] {
  const all = [...new Set(levels.flatMap(({ pieces }) => pieces.flatMap(wordsOf)))];
  return all.flatMap((word) => {
    const counts = levels.map(({ level, pieces }) => ({
      level,
      has: pieces.filter((piece) => wordsOf(piece).includes(word)).length,
      of: pieces.length,
    }));
    const byShare = counts.toSorted((a, b) => b.has / b.of - a.has / a.of);
    const [most, least] = [byShare[0]!, byShare.at(-1)!];
    if (most.has * 2 <= most.of || least.has * 2 > least.of) return [];
    const p = fisherTwoSided([
      [most.has, most.of - most.has],
      [least.has, least.of - least.has],
    ]);
    const said = counts.map(({ level, has, of }) => `${has} of ${of} on ${level}`).join(', ');
    return [`${word}: ${said}${p > CHANCE ? ' (so few may be chance)' : ''}`];
  });
}
