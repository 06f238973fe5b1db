import { fisherTwoSided, mantelHaenszel, stratifiedExact, together, type Table } from './contrast';

/** A read zone with everything that was done to it. */
export interface DoneZone {
  readonly pieceId: string;
  readonly firing: string;
  readonly kiln: string;
  readonly cone: string;
  readonly atmosphere: string;
  readonly shelf: string;
  readonly body: string;
  /** Slips at the very bottom, bottom first; empty for the bare body. */
  readonly slips: string;
  /** Glazes, bottom first. */
  readonly layers: readonly { readonly glaze: string; readonly times: number }[];
  readonly batches: string;
  readonly hasDefect: boolean;
}

/** What may differ between two zones that are otherwise the same. */
export const FACTORS = ['coats', 'order', 'alone', 'body', 'ground', 'batch', 'shelf', 'firing'] as const;
export type Factor = (typeof FACTORS)[number];

/** Groups of zones that differ in one thing only. */
export interface NaturalExperiment {
  readonly factor: Factor;
  /** What is the same in all of them, for the eye: a stack, or a glaze. */
  readonly about: string;
  /** The level with more of the defect, then the other. */
  readonly levels: readonly [string, string];
  /** Pieces with and without the defect, all matched sets together, in the order of the levels. */
  readonly table: Table;
  /** Matched sets that hold both levels. */
  readonly sets: number;
  readonly firings: number;
  /** Exact chance of a difference as great, were the levels alike. */
  readonly p: number;
  /** The same after Benjamini and Hochberg over everything looked at. */
  readonly q: number;
  readonly oddsRatio: number | null;
  /** What else differs between the levels in every set; empty when nothing does. */
  readonly confounded: readonly string[];
}

/** Levels of a factor, and the key of what is held the same; null when the zone has no part in it. */
type Split = (
  zone: DoneZone,
) => { readonly level: string; readonly key: string; readonly about: string } | null;

const names = (zone: DoneZone) => zone.layers.map(({ glaze }) => glaze).join(' > ');
const counts = (zone: DoneZone) => zone.layers.map(({ times }) => times).join('+');
const dips = (zone: DoneZone) => zone.layers.reduce((sum, layer) => sum + layer.times, 0);
const where = (zone: DoneZone) => `${zone.body}|${zone.slips}`;
const heat = (zone: DoneZone) => `${zone.atmosphere}|${zone.cone}`;
const stackWords = (zone: DoneZone) =>
  [...zone.layers]
    .reverse()
    .map(({ glaze }) => glaze)
    .join(' over ');

const SPLITS: Readonly<Record<Factor, Split>> = {
  coats: (zone) =>
    zone.layers.length
      ? {
          level: timesLevel(dips(zone)),
          key: `${names(zone)}|${where(zone)}|${zone.firing}`,
          about: stackWords(zone),
        }
      : null,
  order: (zone) =>
    zone.layers.length === 2
      ? {
          level: stackWords(zone),
          key: `${[...zone.layers.map(({ glaze }) => glaze)].sort().join(' & ')}|${[...counts(zone)].sort().join('')}|${where(zone)}|${zone.firing}`,
          about: zone.layers
            .map(({ glaze }) => glaze)
            .sort()
            .join(' and '),
        }
      : null,
  alone: (zone) => {
    const top = zone.layers.at(-1);
    return top
      ? {
          level: zone.layers.length === 1 ? 'alone' : 'over another glaze',
          key: `${top.glaze}|${top.times}|${where(zone)}|${zone.firing}`,
          about: top.glaze,
        }
      : null;
  },
  body: (zone) =>
    zone.layers.length
      ? {
          level: zone.body,
          key: `${names(zone)}|${counts(zone)}|${zone.slips}|${zone.firing}`,
          about: stackWords(zone),
        }
      : null,
  ground: (zone) => ({
    level: zone.slips || 'bare clay',
    key: `${names(zone)}|${counts(zone)}|${zone.body}|${zone.firing}`,
    about: stackWords(zone) || 'the slip',
  }),
  batch: (zone) =>
    zone.batches
      ? {
          level: zone.batches,
          key: `${names(zone)}|${counts(zone)}|${where(zone)}|${heat(zone)}`,
          about: stackWords(zone),
        }
      : null,
  shelf: (zone) => ({
    level: zone.shelf,
    key: `${names(zone)}|${counts(zone)}|${where(zone)}|${zone.firing}`,
    about: zone.kiln,
  }),
  firing: (zone) => ({
    level: zone.firing,
    key: `${names(zone)}|${counts(zone)}|${where(zone)}|${heat(zone)}`,
    about: `${zone.kiln}, cone ${zone.cone}, ${zone.atmosphere}`,
  }),
};

function timesLevel(n: number): string {
  return n >= 3 ? 'three coats or more' : n === 2 ? 'twice' : 'once';
}

/** What may be confounded with a factor, and how it is said. */
const BESIDE: readonly (readonly [Factor, string, (zone: DoneZone) => string])[] = [
  ['batch', 'batch', (zone) => zone.batches],
  ['shelf', 'shelf', (zone) => zone.shelf],
  ['firing', 'firing', (zone) => zone.firing],
];

/** The zones of one level in one set. */
type Cell = readonly DoneZone[];

/**
 * Finds the natural experiments in what was fired: sets of zones that are the same but for one thing, with the
 * defect on one side more than on the other.
 *
 * Zones are matched by everything but the factor (the firing included, unless it is the question). A piece
 * counts once a set and level, for its zones are not independent. Each pair of levels, or each firing against
 * the others, is tested by the exact conditional test over its matched sets, which for pairs is McNemar's and
 * for one set Fisher's; all tests looked at are corrected together after Benjamini and Hochberg.
 *
 * @param least matched pieces that a contrast must have to be looked at
 */
export function naturalExperiments(zones: readonly DoneZone[], least = 4): NaturalExperiment[] {
  const found = FACTORS.flatMap((factor) => experimentsOn(factor, zones, least));
  const q = benjaminiHochberg(found.map(({ p }) => p));
  return found
    .map((one, i) => ({ ...one, q: q[i]! }))
    .sort((a, b) => a.p - b.p || a.about.localeCompare(b.about));
}

type Sets = ReadonlyMap<string, { readonly about: string; readonly levels: ReadonlyMap<string, Cell> }>;

/** Zones by what is held the same, then by the level of the factor. */
function matched(factor: Factor, zones: readonly DoneZone[]): Sets {
  const sets = new Map<string, { about: string; levels: Map<string, DoneZone[]> }>();
  for (const zone of zones) {
    const split = SPLITS[factor](zone);
    if (!split) continue;
    const set = sets.get(split.key);
    if (!set) {
      sets.set(split.key, { about: split.about, levels: new Map([[split.level, [zone]]]) });
      continue;
    }
    const cell = set.levels.get(split.level);
    if (cell) cell.push(zone);
    else set.levels.set(split.level, [zone]);
  }
  return sets;
}

/** Two levels with their matched sets, before they are judged. */
interface Pair {
  readonly about: string;
  readonly levels: readonly [string, string];
  readonly strata: Table[];
  readonly firings: Set<string>;
  /** Whether something else differed too in every set so far, in the order of BESIDE. */
  readonly apart: boolean[];
}

function experimentsOn(factor: Factor, zones: readonly DoneZone[], least: number): NaturalExperiment[] {
  const sets = matched(factor, zones);
  const pairs = factor === 'firing' ? eachAgainstRest(sets) : everyPair(sets);
  return pairs.flatMap((pair) => judged(factor, pair, least) ?? []);
}

function everyPair(sets: Sets): Pair[] {
  const pairs = new Map<string, Pair>();
  for (const { about, levels } of sets.values()) {
    const all = [...levels.keys()].sort();
    for (const [i, a] of all.entries())
      for (const b of all.slice(i + 1)) {
        const key = `${about}|${a}|${b}`;
        const pair = pairs.get(key) ?? {
          about,
          levels: [a, b],
          strata: [],
          firings: new Set<string>(),
          apart: BESIDE.map(() => true),
        };
        pairs.set(key, pair);
        const [one, two] = [levels.get(a)!, levels.get(b)!];
        pair.strata.push([rowOf(one), rowOf(two)]);
        for (const zone of [...one, ...two]) pair.firings.add(zone.firing);
        for (const [n, [, , of]] of BESIDE.entries())
          pair.apart[n] &&= apart(new Set(one.map(of)), new Set(two.map(of)));
      }
  }
  return [...pairs.values()];
}

/** Each level against all others of its sets: firings are many, and each is asked about by itself. */
function eachAgainstRest(sets: Sets): Pair[] {
  const pairs = new Map<string, Pair>();
  for (const { about, levels } of sets.values()) {
    if (levels.size < 2) continue;
    const rows = [...levels].map(([level, cell]) => [level, rowOf(cell)] as const);
    const all = rows.reduce<[number, number]>(([n, m], [, [a, b]]) => [n + a, m + b], [0, 0]);
    for (const [level, [a, b]] of rows) {
      const key = `${about}|${level}`;
      const pair = pairs.get(key) ?? {
        about,
        levels: [level, 'other firings'],
        strata: [],
        firings: new Set<string>([level]),
        apart: BESIDE.map(() => false),
      };
      pairs.set(key, pair);
      pair.strata.push([
        [a, b],
        [all[0] - a, all[1] - b],
      ]);
      if (pair.firings.size < MOST_NAMED) for (const other of levels.keys()) pair.firings.add(other);
    }
  }
  return [...pairs.values()];
}

/** Firings counted by name up to so many; more are many. */
const MOST_NAMED = 50;

/** Pieces with the defect and without. */
function rowOf(cell: Cell): readonly [number, number] {
  const pieces = new Set(cell.map((zone) => zone.pieceId));
  const having = new Set(cell.filter((zone) => zone.hasDefect).map((zone) => zone.pieceId)).size;
  return [having, pieces.size - having];
}

function judged(factor: Factor, pair: Pair, least: number): NaturalExperiment | null {
  const { about, levels, strata } = pair;
  const [[having, without], [other, otherWithout]] = together(strata);
  if (having + without + other + otherWithout < least) return null;
  if (having + other === 0 || without + otherWithout === 0) return null;
  const turned = having * (other + otherWithout) < other * (having + without);
  const ordered = turned ? strata.map(([one, two]): Table => [two, one]) : strata;
  return {
    factor,
    about,
    levels: turned ? [levels[1], levels[0]] : levels,
    table: together(ordered),
    sets: strata.length,
    firings: pair.firings.size,
    p: strata.length === 1 ? fisherTwoSided(strata[0]!) : stratifiedExact(strata),
    q: 1,
    oddsRatio: mantelHaenszel(ordered),
    confounded: BESIDE.filter(
      ([beside], n) =>
        beside !== factor &&
        // A layer more is a batch more: that is the question, not beside it.
        !(factor === 'alone' && beside === 'batch') &&
        pair.apart[n],
    ).map(([, words]) => words),
  };
}

function apart(one: ReadonlySet<string>, two: ReadonlySet<string>): boolean {
  return [...one].every((value) => !two.has(value));
}

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
