import {
  columnsOf,
  gathered,
  joined,
  type Column,
  type ColumnName,
  type FiredZoneFacts,
  type NamedColumn,
} from './columns';
import { BESIDE, FACTORS, SPLITS, type Factor } from './factors';
import { mantelHaenszel, stratifiedTails, together, type Table } from './contrast';

/** Groups of zones that differ in one thing only. */
export interface NaturalExperiment {
  readonly factor: Factor;
  /** What is the same in all of them, for the eye: a stack, or a glaze. */
  readonly about: string;
  /** The level with more of the defect, then the other. */
  readonly levels: readonly [string, string];
  /** Pieces with and without the defect, all matched sets together, in the order of the levels. */
  readonly table: Table;
  /**
   * Firings that showed it more than their matched sets do together, and the others, in the order of the levels,
   * where the factor belongs to a firing; null where it belongs to a piece.
   */
  readonly byFiring: Table | null;
  /** Matched sets that hold both levels. */
  readonly sets: number;
  /** Pieces that carry both levels themselves, each compared with itself; 0 where the factor belongs to a firing. */
  readonly paired: number;
  readonly firings: number;
  /** Exact chance of a difference as great, were the levels alike; the unit is the firing where it is the factor's. */
  readonly p: number;
  /** The same chance less strictly, see the mid-p of `Tails`. */
  readonly midP: number;
  /** The first after Benjamini and Hochberg over everything looked at. */
  readonly q: number;
  readonly oddsRatio: number | null;
  /** What else differs between the levels in every set; empty when nothing does. */
  readonly confounded: readonly string[];
}

/**
 * Finds the natural experiments in what was fired: sets of zones that are the same but for one thing, with the
 * defect on one side more than on the other.
 *
 * Zones are matched by everything but the factor (the firing included, unless it is the question). A piece
 * counts once a set and level, for its zones are not independent; a piece that carries both levels is compared with
 * itself, as a matched set of its own. Each pair of levels, or each firing against
 * the others, is tested by the exact conditional test over its matched sets, which for pairs is McNemar's and
 * for one set Fisher's. Pieces of one firing are not independent of what the firing was like: there each firing
 * counts once, by whether it showed the defect more than its matched sets do together, and Fisher's exact test is
 * over firings. All tests looked at are corrected together after Benjamini and Hochberg.
 *
 * @param least matched pieces, or firings, that a contrast must have to be looked at
 */
export function naturalExperiments(zones: readonly FiredZoneFacts[], least = 4): NaturalExperiment[] {
  const steps = experimentsInSteps(zones, least);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

/** The same in short steps, for who has other work to do in between. */
export function* experimentsInSteps(zones: readonly FiredZoneFacts[], least = 4): Steps<NaturalExperiment[]> {
  const studio: Studio = {
    column: columnsOf(zones),
    hasDefect: Uint8Array.from(zones, (zone) => Number(zone.hasDefect)),
  };
  const found: NaturalExperiment[] = [];
  for (const factor of FACTORS) found.push(...(yield* experimentsOn(factor, studio, least)));
  const q = benjaminiHochberg(found.map(({ p }) => p));
  return found
    .map((one, i) => ({ ...one, q: q[i]! }))
    .sort((a, b) => a.p - b.p || a.about.localeCompare(b.about));
}

/** Work that stops after every step and gives its result at the end. */
export type Steps<T> = Generator<void, T, void>;

/** Matched sets, or pairs of levels, of one step. */
const OF_A_STEP = 200;

/** Everything that was read, by columns. */
interface Studio {
  readonly column: (name: ColumnName) => NamedColumn;
  readonly hasDefect: Uint8Array;
}

/** The zones of one level in one matched set. */
interface Cell {
  readonly level: number;
  /** Rows of its zones. */
  readonly rows: Int32Array;
  /** Pieces with the defect and without. */
  readonly counts: readonly [number, number];
}

/** Calls back with the cells of each set of zones that are the same but for the factor; two or more. */
function* eachMatched(factor: Factor, studio: Studio, call: (cells: readonly Cell[]) => void): Steps<void> {
  const { same, level } = SPLITS[factor];
  const [levels, alike] = [studio.column(level), joined(same.map(studio.column))];
  const { rows, starts } = gathered(joined([alike, levels]));
  const count = starts.length - 1;
  const setOf = new Int32Array(count);
  for (let cell = 0; cell < count; cell++) setOf[cell] = alike.ids[rows[starts[cell]!]!]!;
  const sets = gathered({ ids: setOf, count: alike.count });
  for (let set = 0; set < alike.count; set++) {
    if (set % OF_A_STEP === 0) yield;
    if (sets.starts[set + 1]! - sets.starts[set]! < 2) continue;
    const cells: Cell[] = [];
    for (let at = sets.starts[set]!; at < sets.starts[set + 1]!; at++) {
      const cell = sets.rows[at]!;
      const own = rows.subarray(starts[cell], starts[cell + 1]);
      cells.push({ level: levels.ids[own[0]!]!, rows: own, counts: countsOf(own, studio) });
    }
    call(cells);
  }
}

type Excess = readonly [Map<number, number>, Map<number, number>];

/** Two levels with their matched sets, before they are judged. */
interface Pair {
  readonly about: string;
  readonly levels: readonly [string, string];
  readonly strata: Table[];
  sets: number;
  paired: number;
  readonly firings: Set<number>;
  /**
   * For each level, by firing: pieces with the defect beyond those that its matched sets let expect; null where
   * the factor belongs to a piece.
   */
  readonly excess: Excess | null;
  /** Whether something else differed too in every set so far, in the order of BESIDE. */
  readonly apart: boolean[];
}

function* experimentsOn(factor: Factor, studio: Studio, least: number): Steps<NaturalExperiment[]> {
  const pairs = yield* factor === 'firing' ? eachAgainstRest(studio) : everyPair(factor, studio);
  const found: NaturalExperiment[] = [];
  for (const [i, pair] of pairs.entries()) {
    if (i % OF_A_STEP === 0) yield;
    const one = judged(factor, pair, least);
    if (one) found.push(one);
  }
  return found;
}

function* everyPair(factor: Factor, studio: Studio): Steps<Pair[]> {
  const { unit } = SPLITS[factor];
  const level = studio.column(SPLITS[factor].level);
  const [about, aboutWords] = subjectOf(factor, studio);
  const firing = studio.column('firing').ids;
  const beside = BESIDE.map(([, name]) => studio.column(name).ids);
  const pairs = new Map<number, Pair>();
  yield* eachMatched(factor, studio, (cells) => {
    const sorted = [...cells].sort((a, b) => (level.words[a.level]! < level.words[b.level]! ? -1 : 1));
    for (let i = 0; i < sorted.length; i++)
      for (let k = i + 1; k < sorted.length; k++) {
        const [one, two] = [sorted[i]!, sorted[k]!];
        const subject = about.ids[one.rows[0]!]!;
        const key = (subject * level.count + one.level) * level.count + two.level;
        let pair = pairs.get(key);
        if (!pair) {
          pair = {
            about: aboutWords(one.rows[0]!),
            levels: [level.words[one.level]!, level.words[two.level]!],
            strata: [],
            sets: 0,
            paired: 0,
            firings: new Set(),
            excess: unit === 'firing' ? [new Map(), new Map()] : null,
            apart: BESIDE.map(() => true),
          };
          pairs.set(key, pair);
        }
        pair.sets++;
        if (pair.excess) {
          pair.strata.push([one.counts, two.counts]);
          addExcess(pair.excess, [one, two], studio);
        } else pair.paired += addStrata(pair.strata, one, two, studio);
        for (const row of one.rows) pair.firings.add(firing[row]!);
        for (const row of two.rows) pair.firings.add(firing[row]!);
        for (let n = 0; n < beside.length; n++) pair.apart[n] &&= apart(one.rows, two.rows, beside[n]!);
      }
  });
  return [...pairs.values()];
}

/**
 * Adds the strata of two levels of one set: each piece that carries both by itself, the others together.
 *
 * @returns how many pieces carry both
 */
function addStrata(strata: Table[], one: Cell, two: Cell, studio: Studio): number {
  const shownBy = piecesOf(two.rows, studio);
  const others: boolean[] = [];
  let paired = 0;
  for (const [piece, bad] of piecesOf(one.rows, studio)) {
    const beside = shownBy.get(piece);
    if (beside === undefined) others.push(bad);
    else {
      strata.push([tallied([bad]), tallied([beside])]);
      shownBy.delete(piece);
      paired++;
    }
  }
  if (others.length && shownBy.size) strata.push([tallied(others), tallied([...shownBy.values()])]);
  return paired;
}

/** How many show it, and how many do not. */
function tallied(pieces: readonly boolean[]): Table[number] {
  const having = pieces.filter(Boolean).length;
  return [having, pieces.length - having];
}

/** The pieces of some zones, each with whether any of these zones shows the defect. */
function piecesOf(
  rows: ArrayLike<number> & Iterable<number>,
  { column, hasDefect }: Studio,
): Map<number, boolean> {
  const { ids } = column('piece');
  const pieces = new Map<number, boolean>();
  for (const row of rows) pieces.set(ids[row]!, hasDefect[row] === 1 || pieces.get(ids[row]!) === true);
  return pieces;
}

/** Adds to each firing's excess what it showed in one matched set beyond the share of both levels together. */
function addExcess(excess: Excess, cells: readonly [Cell, Cell], studio: Studio): void {
  const [[a, b], [c, d]] = [cells[0].counts, cells[1].counts];
  const usual = (a + c) / (a + b + c + d);
  const { ids } = studio.column('firing');
  for (const [level, { rows }] of cells.entries()) {
    const own = new Map<number, number[]>();
    for (const row of rows) {
      const known = own.get(ids[row]!);
      if (known) known.push(row);
      else own.set(ids[row]!, [row]);
    }
    for (const [firing, some] of own) {
      const [bad, sound] = countsOf(some, studio);
      const before = excess[level]!.get(firing) ?? 0;
      excess[level]!.set(firing, before + bad - (bad + sound) * usual);
    }
  }
}

/** What an experiment is about: a column to tell subjects apart, and the words for that of a row. */
function subjectOf(factor: Factor, { column }: Studio): readonly [Column, (row: number) => string] {
  const columns = SPLITS[factor].about.map(column);
  const words = (row: number) => columns.map(({ ids, words: own }) => own[ids[row]!]).join(', ');
  return [joined(columns), words];
}

/** Each level against all others of its sets: firings are many, and each is asked about by itself. */
function* eachAgainstRest(studio: Studio): Steps<Pair[]> {
  const firing = studio.column('firing');
  const [about, aboutWords] = subjectOf('firing', studio);
  const pairs = new Map<number, Pair>();
  yield* eachMatched('firing', studio, (cells) => {
    let [bad, sound] = [0, 0];
    for (const { counts } of cells) {
      bad += counts[0];
      sound += counts[1];
    }
    for (const { level, rows, counts } of cells) {
      const key = about.ids[rows[0]!]! * firing.count + level;
      let pair = pairs.get(key);
      if (!pair) {
        pair = {
          about: aboutWords(rows[0]!),
          levels: [firing.words[level]!, 'other firings'],
          strata: [],
          sets: 0,
          paired: 0,
          firings: new Set([level]),
          excess: null,
          apart: BESIDE.map(() => false),
        };
        pairs.set(key, pair);
      }
      pair.sets++;
      pair.strata.push([counts, [bad - counts[0], sound - counts[1]]]);
      if (pair.firings.size < MOST_NAMED) for (const other of cells) pair.firings.add(other.level);
    }
  });
  return [...pairs.values()];
}

/** Firings counted by name up to so many; more are many. */
const MOST_NAMED = 50;

/** Pieces with the defect and without. */
function countsOf(rows: ArrayLike<number> & Iterable<number>, studio: Studio): Table[number] {
  if (rows.length === 1) return studio.hasDefect[rows[0]!] ? [1, 0] : [0, 1];
  return tallied([...piecesOf(rows, studio).values()]);
}

function judged(factor: Factor, pair: Pair, least: number): NaturalExperiment | null {
  const { about, levels, strata } = pair;
  const [[having, without], [other, otherWithout]] = together(strata);
  if (strata.length === 0 || having + without + other + otherWithout < least) return null;
  if (having + other === 0 || without + otherWithout === 0) return null;
  const turned = having * (other + otherWithout) < other * (having + without);
  const ordered = turned ? strata.map(([one, two]): Table => [two, one]) : strata;
  const byFiring = pair.excess && firingsOf(pair.excess, turned);
  if (byFiring && byFiring.flat().reduce((sum, n) => sum + n) < least) return null;
  return {
    factor,
    about,
    levels: turned ? [levels[1], levels[0]] : levels,
    table: together(ordered),
    byFiring,
    sets: pair.sets,
    paired: pair.paired,
    firings: pair.firings.size,
    ...stratifiedTails(byFiring ? [byFiring] : strata),
    q: 1,
    oddsRatio: mantelHaenszel(ordered),
    confounded: BESIDE.filter(
      ([beside, column], n) =>
        column !== SPLITS[factor].level &&
        // A layer more is a batch more: that is the question, not beside it.
        !(factor === 'alone' && beside === 'batch') &&
        // What belongs to a firing differs from firing to firing.
        !(byFiring && beside === 'firing') &&
        pair.apart[n],
    ).map(([beside]) => beside),
  };
}

/** Sums of shares come near zero, not always to it. */
const NEXT_TO_NOTHING = 1e-9;

/** Firings that showed it more than usual, and the others, by level. */
function firingsOf(excess: Excess, turned: boolean): Table {
  const row = (level: ReadonlyMap<number, number>): Table[number] => {
    const more = [...level.values()].filter((one) => one > NEXT_TO_NOTHING).length;
    return [more, level.size - more];
  };
  const [first, second] = excess.map(row) as [Table[number], Table[number]];
  return turned ? [second, first] : [first, second];
}

/** Whether no zone of one level has this in common with a zone of the other; what is not known may be. */
function apart(one: Int32Array, two: Int32Array, ids: Int32Array): boolean {
  const known = (row: number) => ids[row]! >= 0;
  if (!one.every(known) || !two.every(known)) return false;
  if (one.length * two.length <= FEW) return one.every((a) => two.every((b) => ids[a] !== ids[b]));
  const own = new Set<number>();
  for (const row of one) own.add(ids[row]!);
  return two.every((row) => !own.has(ids[row]!));
}

/** Pairs of zones that are quicker compared one by one. */
const FEW = 64;

/**
 * Benjamini and Hochberg's step-up: for each chance, the share of false finds among those at least as small.
 *
 * Source: Y. Benjamini and Y. Hochberg, J. R. Stat. Soc. B 57 (1995), 289–300.
 *
 * @param chances 0 to 1
 * @returns adjusted chances, in the order given
 */
export function benjaminiHochberg(chances: readonly number[]): number[] {
  const order = chances.map((_, i) => i).sort((a, b) => chances[b]! - chances[a]!);
  const out = new Array<number>(chances.length);
  let least = 1;
  for (const [place, i] of order.entries()) {
    least = Math.min(least, (chances[i]! * chances.length) / (chances.length - place));
    out[i] = least;
  }
  return out;
}
