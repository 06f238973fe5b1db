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

/** A zone with what the factors ask of it, put together once. */
interface Known {
  readonly zone: DoneZone;
  /** Glazes, and how often, bottom first. */
  readonly names: string;
  readonly stack: string;
  readonly body: string;
  readonly where: string;
  readonly heat: string;
  /** The stack as people say it, top first. */
  readonly said: string;
}

function knownOf(zone: DoneZone): Known {
  const glazes = zone.layers.map(({ glaze }) => glaze);
  const names = glazes.join(' > ');
  return {
    zone,
    names,
    stack: `${names}|${zone.layers.map(({ times }) => times).join('+')}`,
    body: zone.body,
    where: `${zone.body}|${zone.slips}`,
    heat: `${zone.atmosphere}|${zone.cone}`,
    said: glazes.length > 1 ? [...glazes].reverse().join(' over ') : names,
  };
}

/** How a factor splits zones: what is held the same, the level, and what it is about; null takes no part. */
interface Split {
  readonly key: (known: Known) => string | null;
  readonly level: (known: Known) => string;
  readonly about: (known: Known) => string;
}

const said = ({ said: words }: Known) => words;
const glazed = ({ zone }: Known) => zone.layers.length > 0;

const SPLITS: Readonly<Record<Factor, Split>> = {
  coats: {
    key: (known) => (glazed(known) ? `${known.names}|${known.where}|${known.zone.firing}` : null),
    level: ({ zone }) => timesLevel(zone.layers.reduce((sum, layer) => sum + layer.times, 0)),
    about: said,
  },
  order: {
    key: ({ zone, where }) =>
      zone.layers.length === 2
        ? `${zone.layers
            .map(({ glaze, times }) => `${glaze}*${times}`)
            .sort()
            .join(' & ')}|${where}|${zone.firing}`
        : null,
    level: said,
    about: ({ zone }) =>
      zone.layers
        .map(({ glaze }) => glaze)
        .sort()
        .join(' and '),
  },
  alone: {
    key: ({ zone, where }) => {
      const top = zone.layers.at(-1);
      return top ? `${top.glaze}|${top.times}|${where}|${zone.firing}` : null;
    },
    level: ({ zone }) => (zone.layers.length === 1 ? 'alone' : 'over another glaze'),
    about: ({ zone }) => zone.layers.at(-1)!.glaze,
  },
  body: {
    key: (known) => (glazed(known) ? `${known.stack}|${known.zone.slips}|${known.zone.firing}` : null),
    level: ({ body }) => body,
    about: said,
  },
  ground: {
    key: ({ stack, body, zone }) => `${stack}|${body}|${zone.firing}`,
    level: ({ zone }) => zone.slips || 'bare clay',
    about: ({ said: words }) => words || 'the slip',
  },
  batch: {
    key: ({ zone, stack, where, heat }) => (zone.batches ? `${stack}|${where}|${heat}` : null),
    level: ({ zone }) => zone.batches,
    about: said,
  },
  shelf: {
    key: ({ zone, stack, where }) => `${stack}|${where}|${zone.firing}`,
    level: ({ zone }) => zone.shelf,
    about: ({ zone }) => zone.kiln,
  },
  firing: {
    key: ({ stack, where, heat }) => `${stack}|${where}|${heat}`,
    level: ({ zone }) => zone.firing,
    about: ({ zone }) => `${zone.kiln}, cone ${zone.cone}, ${zone.atmosphere}`,
  },
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
  const known = zones.map(knownOf);
  const found = FACTORS.flatMap((factor) => experimentsOn(factor, known, least));
  const q = benjaminiHochberg(found.map(({ p }) => p));
  return found
    .map((one, i) => ({ ...one, q: q[i]! }))
    .sort((a, b) => a.p - b.p || a.about.localeCompare(b.about));
}

type Sets = ReadonlyMap<string, { readonly about: string; readonly levels: ReadonlyMap<string, Cell> }>;

/** Zones by what is held the same, then by the level of the factor; what stands alone is left out. */
function matched(factor: Factor, zones: readonly Known[]): Sets {
  const { key, level, about } = SPLITS[factor];
  const alike = new Map<string, Known[]>();
  for (const known of zones) {
    const same = key(known);
    if (same === null) continue;
    const set = alike.get(same);
    if (set) set.push(known);
    else alike.set(same, [known]);
  }
  const sets = new Map<string, { about: string; levels: Map<string, DoneZone[]> }>();
  for (const [same, set] of alike) {
    if (set.length < 2) continue;
    const levels = new Map<string, DoneZone[]>();
    for (const known of set) {
      const cell = levels.get(level(known));
      if (cell) cell.push(known.zone);
      else levels.set(level(known), [known.zone]);
    }
    if (levels.size > 1) sets.set(same, { about: about(set[0]!), levels });
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

function experimentsOn(factor: Factor, zones: readonly Known[], least: number): NaturalExperiment[] {
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
