import { heatName, type ClayState } from '../vocabulary';
import type { Cooling } from '../firing';

/** A read zone with everything that was done to it. */
export interface FiredZoneFacts {
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
  /** How the firing came out against its cone, and how it came down; null when not known. */
  readonly reached: 'under' | 'at' | 'over' | null;
  readonly cooling: Cooling | null;
  /** Whether every layer was dry before the next; null when nobody said or there is one layer. */
  readonly dried: boolean | null;
  /** What the clay was like under the slip; null without one, or when nobody said. */
  readonly clay: ClayState | null;
  /** Where on the piece it lies: an area by its name, or a side; "outside", "handle". */
  readonly place: string;
  readonly form: string;
  /** What was done to the clay below, in words; null when nobody said. */
  readonly texture: string | null;
  readonly hasDefect: boolean;
}

/** One thing about every zone as a number: equal numbers for equal things, −1 where it does not apply. */
export interface Column {
  readonly ids: Int32Array;
  /** How many different things there are. */
  readonly count: number;
}

/** A column with what each number stands for. */
export interface NamedColumn extends Column {
  readonly words: readonly string[];
}

type Layers = FiredZoneFacts['layers'];

/** Gives out numbers from 0 on: the same for what was seen before. */
function numbering<T>(): { readonly of: (thing: T) => number; readonly all: readonly T[] } {
  const known = new Map<T, number>();
  const all: T[] = [];
  const of = (thing: T) => {
    let id = known.get(thing);
    if (id === undefined) {
      id = all.push(thing) - 1;
      known.set(thing, id);
    }
    return id;
  };
  return { of, all };
}

/** A column of what is said of each thing; null where it does not apply. */
function columnOf<T>(things: readonly T[], say: (thing: T) => string | null): NamedColumn {
  const { of, all } = numbering<string>();
  const ids = Int32Array.from(things, (thing) => {
    const word = say(thing);
    return word === null ? -1 : of(word);
  });
  return { ids, count: all.length, words: all };
}

/** Pairs of numbers that are listed outright; more are looked up. */
const LISTED = 1 << 22;

/** Columns as one: equal only where all of them are; −1 where one of them does not apply. */
export function joined(columns: readonly Column[]): Column {
  return columns.reduce((one, other) => {
    const pairs = one.count * other.count;
    const known = pairs <= LISTED ? new Int32Array(pairs) : new Map<number, number>();
    let count = 0;
    const ids = new Int32Array(one.ids.length).fill(-1);
    for (let row = 0; row < ids.length; row++) {
      const [id, beside] = [one.ids[row]!, other.ids[row]!];
      if (id < 0 || beside < 0) continue;
      const pair = id * other.count + beside;
      // Numbered from 1, so that 0 is a pair not met before.
      let number = known instanceof Map ? known.get(pair) : known[pair];
      if (!number) {
        number = ++count;
        if (known instanceof Map) known.set(pair, number);
        else known[pair] = number;
      }
      ids[row] = number - 1;
    }
    return { ids, count };
  });
}

function timesWords(layers: Layers): string {
  const n = layers.reduce((sum, { times }) => sum + times, 0);
  return n >= 3 ? 'three coats or more' : n === 2 ? 'twice' : 'once';
}

const coatWords = ({ glaze, times }: Layers[number]) => `${glaze}*${times}`;
const glazeOf = ({ glaze }: Layers[number]) => glaze;

const COOLED = { free: 'cooled by itself', slowed: 'slowed on the way down', held: 'held on the way down' };

/** What is said of a zone as a whole. */
const OF_ZONE = {
  piece: (zone) => zone.pieceId,
  firing: (zone) => zone.firing,
  kiln: (zone) => zone.kiln,
  cone: (zone) => heatName(zone.cone),
  atmosphere: (zone) => zone.atmosphere,
  body: (zone) => zone.body,
  slips: (zone) => zone.slips || 'bare clay',
  shelf: (zone) => zone.shelf,
  batches: (zone) => zone.batches || null,
  reached: ({ reached }) => reached && `${reached} the cone`,
  cooling: ({ cooling }) => cooling && COOLED[cooling],
  drying: ({ dried }) => (dried === null ? null : dried ? 'layers dry between' : 'layers wet on wet'),
  place: (zone) => zone.place,
  form: (zone) => zone.form,
  texture: ({ texture }) => texture && `${texture} clay`,
  clay: ({ clay }) =>
    clay && `slip on ${clay === 'dry' ? 'nearly dry' : clay}${clay === 'bisque' ? '' : ' clay'}`,
} as const satisfies Record<string, (zone: FiredZoneFacts) => string | null>;

/** What is said of its layers. */
const OF_LAYERS = {
  glazes: (layers) => (layers.length ? layers.map(glazeOf).join(' > ') : null),
  stack: (layers) => layers.map(coatWords).join(' > '),
  /** As people say it, top first. */
  said: (layers) => [...layers.map(glazeOf)].reverse().join(' over ') || 'the slip',
  times: timesWords,
  twoCoats: (layers) => (layers.length === 2 ? layers.map(coatWords).sort().join(' & ') : null),
  twoGlazes: (layers) => layers.map(glazeOf).sort().join(' and '),
  top: (layers) => layers.at(-1)?.glaze ?? null,
  topCoat: (layers) => (layers.length ? coatWords(layers.at(-1)!) : null),
  alone: (layers) => (layers.length === 1 ? 'alone' : 'over another glaze'),
} as const satisfies Record<string, (layers: Layers) => string | null>;

export type ColumnName = keyof typeof OF_ZONE | keyof typeof OF_LAYERS;

/**
 * Gives the columns of zones, each made once, when it is first asked for. Zones of one stack may share one list
 * of layers: what is said of layers is said once for each list.
 */
export function columnsOf(zones: readonly FiredZoneFacts[]): (name: ColumnName) => NamedColumn {
  const lists = numbering<Layers>();
  const listOf = Int32Array.from(zones, ({ layers }) => lists.of(layers));
  const made = new Map<ColumnName, NamedColumn>();
  const make = (name: ColumnName): NamedColumn => {
    if (name in OF_ZONE) return columnOf(zones, OF_ZONE[name as keyof typeof OF_ZONE]);
    const own = columnOf(lists.all, OF_LAYERS[name as keyof typeof OF_LAYERS]);
    return { ...own, ids: listOf.map((list) => own.ids[list]!) };
  };
  return (name) => {
    const column = made.get(name) ?? make(name);
    made.set(name, column);
    return column;
  };
}

/** Rows in groups: those of group n are `rows[starts[n]]` up to `rows[starts[n + 1]]`, in their order. */
export interface Groups {
  readonly rows: Int32Array;
  readonly starts: Int32Array;
}

/** Rows by their number in a column; those where it does not apply are left out. */
export function gathered({ ids, count }: Column): Groups {
  const starts = new Int32Array(count + 1);
  for (const id of ids) if (id >= 0) starts[id + 1]!++;
  for (let n = 0; n < count; n++) starts[n + 1]! += starts[n]!;
  const next = starts.slice();
  const rows = new Int32Array(starts[count]!);
  for (let row = 0; row < ids.length; row++) if (ids[row]! >= 0) rows[next[ids[row]!]!++] = row;
  return { rows, starts };
}
