import studentCdf from '@stdlib/stats-base-dists-t-cdf';
import { mantelHaenszel, stratifiedTails, together, type Table, type Tails } from './contrast';
import { joined, type Column, type FiredZoneFacts } from './columns';
import { correctedByFamilies, simes, type Tested } from './corrected';
import { ANY_GLAZE, BESIDE, FACTORS, SPLITS, type Factor } from './factors';
import { flipped, permuted, type Excess, type FiringTest } from './firingTests';
import {
  countsOf,
  eachMatched,
  isApart,
  OF_A_STEP,
  piecesOf,
  studioOf,
  tallied,
  type Cell,
  type Steps,
  type Studio,
} from './matched';

/** Groups of zones that differ in one thing only. */
export interface NaturalExperiment {
  readonly factor: Factor;
  /** What is the same in all of them, for the eye: a stack, a glaze, or {@link ANY_GLAZE}. */
  readonly about: string;
  /** The level with more of the defect, by what its matched sets show together, then the other. */
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
  /** Chance of a difference as great, were the levels alike; the unit is the firing where it is the factor's. */
  readonly p: number;
  /** The same chance less strictly, see the mid-p of `Tails`. */
  readonly midP: number;
  /** The least chance that so few pieces or firings allow, whatever came out. */
  readonly least: number;
  /** The first, corrected for everything looked at that could have said something. */
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
 * itself, as a matched set of its own. Where the factor belongs to a piece, each pair of levels, or each firing against
 * the others, is tested by the exact conditional test over its matched sets, which for pairs is McNemar's and
 * for one set Fisher's. Where it belongs to a firing, the levels are dealt out to the firings in other ways; shelves,
 * of which every firing has all, are compared firing by firing (see {@link permuted} and {@link flipped}). A treatment
 * that is the same on all glazes is tested on all of them together first, then on each, and all of it is corrected for
 * what was looked at and could have said something (see {@link correctedByFamilies}).
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
  const studio = studioOf(zones);
  const families: FoundFamily[] = [];
  for (const factor of FACTORS) families.push(...(yield* familiesOf(factor, studio, least)));
  return correctedByFamilies(
    families.map(({ whole, members }) => ({ whole: whole ?? saysTogether(members), members })),
  )
    .flatMap(({ whole: q, members }, i) => {
      const { whole, members: found } = families[i]!;
      return [...(whole ? [{ ...whole, q }] : []), ...found.map((one, k) => ({ ...one, q: members[k]! }))];
    })
    .sort((a, b) => a.q - b.q || a.p - b.p || a.about.localeCompare(b.about));
}

/** Experiments that ask the same of each glaze, and of all together where that can be asked. */
interface FoundFamily {
  /** Null where the members are about things of their own. */
  readonly whole: NaturalExperiment | null;
  readonly members: readonly NaturalExperiment[];
}

/** What a family says that is no experiment by itself. */
function saysTogether(members: readonly Tested[]): Tested {
  return {
    p: simes(members.map(({ p }) => p)),
    least: members.reduce((least, one) => Math.min(least, one.least), 1),
  };
}

/** Two levels with their matched sets, before they are judged. */
interface Pair {
  readonly about: string;
  readonly levels: readonly [string, string];
  readonly strata: Table[];
  sets: number;
  paired: number;
  readonly firings: Set<number>;
  /**
   * For each level, by firing: what it showed beyond what its matched sets let expect; null where the factor belongs
   * to a piece.
   */
  readonly excess: readonly [Map<number, Mutable<Excess>>, Map<number, Mutable<Excess>>] | null;
  /** The difference of the levels by firing, where both stand in each; null elsewhere. */
  readonly differences: Map<number, number> | null;
  /** What each piece says, where the pair is one of several glazes together; null for one glaze. */
  readonly scores: Map<number, number> | null;
  /** Whether something else differed too in every set so far, in the order of BESIDE. */
  readonly apart: boolean[];
}

type Mutable<T> = { -readonly [K in keyof T]: T[K] };

/** Factors all of whose levels stand in every firing. */
const IN_EVERY_FIRING: ReadonlySet<Factor> = new Set<Factor>(['shelf']);

/** Factors whose levels are the same things on every glaze. */
const POOLED: ReadonlySet<Factor> = new Set<Factor>([
  ...(['coats', 'alone', 'body', 'ground', 'drying', 'clay', 'place', 'texture'] as const),
  ...(['atmosphere', 'reached', 'cooling'] as const),
]);

function* familiesOf(factor: Factor, studio: Studio, least: number): Steps<FoundFamily[]> {
  const { pairs, pooled } =
    factor === 'firing'
      ? { pairs: yield* eachAgainstRest(studio), pooled: new Map<number, Pair>() }
      : yield* everyPair(factor, studio);
  const members = new Map<string, NaturalExperiment[]>();
  for (const [i, pair] of pairs.entries()) {
    if (i % OF_A_STEP === 0) yield;
    const one = judged(factor, pair, least);
    if (!one) continue;
    const key = POOLED.has(factor) ? [...one.levels].sort().join('\n') : '';
    members.set(key, [...(members.get(key) ?? []), one]);
  }
  const wholes = new Map<string, NaturalExperiment>();
  for (const pair of pooled.values()) {
    yield;
    const one = judged(factor, pair, least);
    if (one) wholes.set([...one.levels].sort().join('\n'), one);
  }
  return [...members].map(([key, own]) => ({
    members: own,
    // One glaze is its own family.
    whole: own.length > 1 ? (wholes.get(key) ?? null) : null,
  }));
}

function* everyPair(
  factor: Factor,
  studio: Studio,
): Steps<{ pairs: Pair[]; pooled: ReadonlyMap<number, Pair> }> {
  const level = studio.column(SPLITS[factor].level);
  const [about, aboutWords] = subjectOf(factor, studio);
  const firing = studio.column('firing').ids;
  const beside = BESIDE.map(([, name]) => studio.column(name).ids);
  const [pairs, pooled] = [new Map<number, Pair>(), new Map<number, Pair>()];
  const known = (map: Map<number, Pair>, key: number, subject: () => string, one: Cell, two: Cell) => {
    const before = map.get(key);
    if (before) return before;
    const pair = emptyPair(
      factor,
      subject(),
      [level.words[one.level]!, level.words[two.level]!],
      map === pooled,
    );
    map.set(key, pair);
    return pair;
  };
  yield* eachMatched(factor, studio, (cells) => {
    const sorted = [...cells].sort((a, b) => (level.words[a.level]! < level.words[b.level]! ? -1 : 1));
    for (let i = 0; i < sorted.length; i++)
      for (let k = i + 1; k < sorted.length; k++) {
        const [one, two] = [sorted[i]!, sorted[k]!];
        const levels = one.level * level.count + two.level;
        const subject = about.ids[one.rows[0]!]!;
        const key = subject * level.count * level.count + levels;
        const all = [known(pairs, key, () => aboutWords(one.rows[0]!), one, two)];
        if (POOLED.has(factor)) all.push(known(pooled, levels, () => ANY_GLAZE, one, two));
        addSet(all, one, two, studio, firing);
        for (const pair of all)
          for (let n = 0; n < beside.length; n++)
            if (pair.apart[n]) pair.apart[n] = isApart(one.rows, two.rows, beside[n]!);
      }
  });
  return { pairs: [...pairs.values()], pooled };
}

function emptyPair(
  factor: Factor,
  about: string,
  levels: readonly [string, string],
  isPooled: boolean,
): Pair {
  const isOfFiring = SPLITS[factor].unit === 'firing';
  return {
    ...{ about, levels, strata: [], sets: 0, paired: 0, firings: new Set() },
    excess: isOfFiring ? [new Map(), new Map()] : null,
    differences: IN_EVERY_FIRING.has(factor) ? new Map() : null,
    scores: isPooled && !isOfFiring ? new Map() : null,
    apart: BESIDE.map(() => true),
  };
}

/** Adds a matched set to the pairs that it belongs to. */
function addSet(pairs: readonly Pair[], one: Cell, two: Cell, studio: Studio, firing: Int32Array): void {
  const isOfFiring = pairs[0]!.excess !== null;
  const split = isOfFiring ? null : strataOf(one, two, studio);
  const shown = isOfFiring ? excessOf([one, two], studio) : null;
  for (const pair of pairs) {
    pair.sets++;
    if (split) {
      pair.paired += split.paired;
      for (const { table, pieces } of split.strata) {
        pair.strata.push(table);
        if (pair.scores) addScores(pair.scores, table, pieces);
        if (pair.differences) {
          const at = firing[one.rows[0]!]!;
          pair.differences.set(at, (pair.differences.get(at) ?? 0) + beyond(table));
        }
      }
    }
    if (shown) {
      pair.strata.push([one.counts, two.counts]);
      for (const { side, id, excess, pieces } of shown) {
        const own = pair.excess![side]!;
        const before = own.get(id);
        if (before) {
          before.excess += excess;
          before.pieces += pieces;
        } else own.set(id, { excess, pieces });
      }
    }
    for (const row of one.rows) pair.firings.add(firing[row]!);
    for (const row of two.rows) pair.firings.add(firing[row]!);
  }
}

/** Pieces of the first level with the defect beyond those that its set lets expect. */
function beyond([[a, b], [c, d]]: Table): number {
  return a - ((a + b) * (a + c)) / (a + b + c + d);
}

/** A stratum of one set: its counts, and which pieces show it, of the first level and of the second. */
interface Stratum {
  readonly table: Table;
  readonly pieces: readonly [
    readonly (readonly [number, boolean])[],
    readonly (readonly [number, boolean])[],
  ];
}

/** The strata of two levels of one set: each piece that carries both by itself, the others together. */
function strataOf(one: Cell, two: Cell, studio: Studio): { strata: Stratum[]; paired: number } {
  const strata: Stratum[] = [];
  const shownBy = piecesOf(two.rows, studio);
  const others: [number, boolean][] = [];
  const add = (...pieces: Stratum['pieces']) =>
    strata.push({
      pieces,
      table: [tallied(pieces[0].map(([, bad]) => bad)), tallied(pieces[1].map(([, bad]) => bad))],
    });
  for (const [piece, bad] of piecesOf(one.rows, studio)) {
    const besideIt = shownBy.get(piece);
    if (besideIt === undefined) others.push([piece, bad]);
    else {
      add([[piece, bad]], [[piece, besideIt]]);
      shownBy.delete(piece);
    }
  }
  const paired = strata.length;
  if (others.length && shownBy.size) add(others, [...shownBy]);
  return { strata, paired };
}

/**
 * Adds what each piece of a stratum says of the difference. A piece is in strata of several glazes: what it says in
 * all of them is one thing.
 */
function addScores(scores: Map<number, number>, [[a, b], [c, d]]: Table, pieces: Stratum['pieces']): void {
  const n = a + b + c + d;
  const [usual, first] = [(a + c) / n, (a + b) / n];
  const scale = Math.sqrt(n / (n - 1));
  for (const side of [0, 1] as const)
    for (const [piece, bad] of pieces[side]) {
      const score = scale * ((side === 0 ? 1 : 0) - first) * (Number(bad) - usual);
      if (score !== 0) scores.set(piece, (scores.get(piece) ?? 0) + score);
    }
}

/** What each firing showed in one matched set beyond the share of both levels together. */
function excessOf(cells: readonly [Cell, Cell], studio: Studio) {
  const [[a, b], [c, d]] = [cells[0].counts, cells[1].counts];
  const usual = (a + c) / (a + b + c + d);
  const { ids } = studio.column('firing');
  return cells.flatMap(({ rows }, side) => {
    const own = new Map<number, number[]>();
    for (const row of rows) {
      const known = own.get(ids[row]!);
      if (known) known.push(row);
      else own.set(ids[row]!, [row]);
    }
    return [...own].map(([id, some]) => {
      const [bad, sound] = countsOf(some, studio);
      return { side, id, excess: bad - (bad + sound) * usual, pieces: bad + sound };
    });
  });
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
        const levels = [firing.words[level]!, 'other firings'] as const;
        pair = {
          ...emptyPair('firing', aboutWords(rows[0]!), levels, false),
          apart: BESIDE.map(() => false),
        };
        pair.firings.add(level);
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

function judged(factor: Factor, pair: Pair, least: number): NaturalExperiment | null {
  const { about, levels, strata } = pair;
  const [[having, without], [other, otherWithout]] = together(strata);
  if (strata.length === 0 || having + without + other + otherWithout < least) return null;
  if (having + other === 0 || without + otherWithout === 0) return null;
  const turned = strata.reduce((sum, table) => sum + beyond(table), 0) < 0;
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
    ...chanceOf(pair, turned),
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

/** The chance of a difference as great, by the unit that the factor belongs to. */
function chanceOf({ excess, differences, scores, strata }: Pair, turned: boolean): Tails {
  if (scores) return pooledChance(scores, strata);
  if (!excess && !differences) return stratifiedTails(strata);
  const test: FiringTest = excess
    ? permuted([...excess[0].values()], [...excess[1].values()])
    : flipped([...differences!.values()]);
  // Firings that say the opposite of their pieces say nothing.
  const isAgainst = test.direction !== 0 && test.direction < 0 !== turned;
  return { p: isAgainst ? 1 : test.p, midP: isAgainst ? 1 : test.midP, least: test.least };
}

/** Pieces below which a test over many glazes is not one: its scatter is not known well enough. */
const FEW_PIECES = 12;

/** The chance over all glazes together, by the scatter of whole pieces about what their sets let expect. */
function pooledChance(scores: ReadonlyMap<number, number>, strata: readonly Table[]): Tails {
  if (scores.size < FEW_PIECES) return { p: 1, midP: 1, least: 1 };
  const far = strata.reduce((sum, table) => sum + beyond(table), 0);
  let variance = 0;
  for (const score of scores.values()) variance += score * score;
  const t = Math.abs(far) / Math.sqrt(variance);
  // Two pieces at least make one comparison.
  const p = 2 * studentCdf(-t, scores.size / 2);
  return { p, midP: p, least: 0 };
}

/** Sums of shares come near zero, not always to it. */
const NEXT_TO_NOTHING = 1e-9;

/** Firings that showed it more than usual, and the others, by level. */
function firingsOf(excess: NonNullable<Pair['excess']>, turned: boolean): Table {
  const row = (level: ReadonlyMap<number, Excess>): Table[number] => {
    const more = [...level.values()].filter((one) => one.excess > NEXT_TO_NOTHING).length;
    return [more, level.size - more];
  };
  const [first, second] = [row(excess[0]), row(excess[1])];
  return turned ? [second, first] : [first, second];
}
