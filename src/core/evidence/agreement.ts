import { PLAIN_SEVERITY, type DefectId } from '../vocabulary';
import { paletteDifference, plainPalette, type Lab, type Palette } from '../colour';

/** What was seen on one zone, as far as it matters for agreement between twins. */
export interface Seen {
  readonly id: string;
  /** The piece it is on: a piece counts once, however many of its zones carry the stack. */
  readonly pieceId: string;
  readonly firingId: string;
  readonly surface: string | null;
  readonly movement: string | null;
  readonly colour: Lab | null;
  /** All colours it has, where they were measured; its colour alone when left out. */
  readonly palette?: Palette | null;
  readonly defects: readonly { readonly defect: DefectId; readonly severity: number }[];
  /** False for an older recipe version or a firing more than half a cone off: shown, not counted. */
  readonly counts: boolean;
}

/** How well the proofs of an entry agree. Every count is of pieces. */
export interface Agreement {
  /** Pieces that count and do not disagree with themselves. */
  readonly proofs: number;
  /** Firings that those came out of: pieces of one firing do not show that it can be repeated. */
  readonly firings: number;
  /** Of the pieces, how many agree with what most show. */
  readonly agreeing: number;
  /** Ids of the zones of those that differ. */
  readonly differing: readonly string[];
  /** Ids of the zones of pieces that disagree with themselves: shown, counted neither way. */
  readonly divided: readonly string[];
  readonly surface: string | null;
  readonly movement: string | null;
  /** The chief colour of the proof whose colours are nearest to all others, and all of its colours. */
  readonly colour: Lab | null;
  readonly palette: Palette | null;
  /** Largest difference of an agreeing proof from those colours, CIEDE2000; null with fewer than two. */
  readonly spread: number | null;
  /** Defects seen at least plainly, most frequent first; severity is the worst seen. */
  readonly defects: readonly {
    readonly defect: DefectId;
    readonly count: number;
    readonly severity: number;
  }[];
}

/** A twin whose colours are further than this from the middle ones (CIEDE2000) disagrees: plainly another colour. */
export const COLOUR_TOLERANCE = 6;

/** Proofs taken together by their pieces. */
export interface ByPiece {
  /** One for each piece whose zones show the same, under the id of its first zone. */
  readonly whole: readonly Seen[];
  /** The zones of each piece that disagrees with itself. */
  readonly divided: readonly (readonly Seen[])[];
  /** Zone ids by the id of their piece. */
  readonly zonesOf: ReadonlyMap<string, readonly string[]>;
}

/**
 * Takes the zones of an entry together by their pieces: a cup with the same stack inside and on its rim is one proof.
 * A piece disagrees with itself when two of its zones differ in surface, in plain defects, or in colour by more than
 * {@link COLOUR_TOLERANCE}; what was not noted on a zone does not speak against the others.
 */
export function byPiece(seen: readonly Seen[]): ByPiece {
  const zones = new Map<string, Seen[]>();
  for (const one of seen) zones.set(one.pieceId, [...(zones.get(one.pieceId) ?? []), one]);
  const pieces = [...zones.values()];
  const divided = pieces.filter(disagreesWithItself);
  return {
    whole: pieces.filter((piece) => !divided.includes(piece)).map(merged),
    divided,
    zonesOf: new Map([...zones].map(([piece, list]) => [piece, list.map(({ id }) => id)])),
  };
}

function disagreesWithItself(zones: readonly Seen[]): boolean {
  return zones.some((one, i) =>
    zones.slice(i + 1).some((other) => {
      const [a, b] = [plainDefects(one), plainDefects(other)].map((list) => new Set(list)) as [
        Set<DefectId>,
        Set<DefectId>,
      ];
      return (
        (one.surface !== null && other.surface !== null && one.surface !== other.surface) ||
        isOtherColour(coloursOf(one), coloursOf(other)) ||
        a.size !== b.size ||
        [...a].some((defect) => !b.has(defect))
      );
    }),
  );
}

/** All that is known of the colours of a zone; null for nothing. */
export function coloursOf({ palette, colour }: Pick<Seen, 'palette' | 'colour'>): Palette | null {
  return palette?.length ? palette : colour && plainPalette(colour);
}

function isOtherColour(one: Palette | null, other: Palette | null): boolean {
  return one !== null && other !== null && paletteDifference(one, other) > COLOUR_TOLERANCE;
}

/** What a piece shows on all its zones. */
function merged(zones: readonly Seen[]): Seen {
  const palette = middlePalette(zones.flatMap((zone) => toList(coloursOf(zone))));
  return {
    ...zones[0]!,
    surface: commonest(zones.map(({ surface }) => surface)),
    movement: commonest(zones.map(({ movement }) => movement)),
    palette,
    colour: palette?.[0]?.lab ?? null,
    defects: zones.flatMap(({ defects }) => defects),
  };
}

/**
 * Sums up the proofs of an entry: what most pieces show, and which do not.
 *
 * A piece counts once; one that disagrees with itself counts neither way, see {@link byPiece}. A piece disagrees with
 * the others when its surface differs from the commonest, its colour is more than {@link COLOUR_TOLERANCE} from the
 * middle one, or a plain defect (severity 2 or more) is on it and not on most others, or the reverse. A single piece
 * agrees with itself. Movement is described, not judged: it varies with thickness within a dip.
 *
 * @example agreementOf([satin, satin, gloss]) // { proofs: 3, agreeing: 2, … }
 */
export function agreementOf(all: readonly Seen[]): Agreement {
  const { whole: seen, divided, zonesOf } = byPiece(all.filter((proof) => proof.counts));
  const surface = commonest(seen.map((proof) => proof.surface));
  const palette = middlePalette(seen.flatMap((proof) => toList(coloursOf(proof))));
  const counted = countDefects(seen);
  const usual = new Set(counted.filter(({ count }) => count * 2 > seen.length).map(({ defect }) => defect));
  const differing = seen.filter((proof) => {
    const plain = new Set(plainDefects(proof));
    return (
      (surface !== null && proof.surface !== null && proof.surface !== surface) ||
      isOtherColour(palette, coloursOf(proof)) ||
      [...usual].some((defect) => !plain.has(defect)) ||
      [...plain].some((defect) => !usual.has(defect))
    );
  });
  const agreeing = seen.filter((proof) => !differing.includes(proof));
  return {
    proofs: seen.length,
    firings: new Set(seen.map(({ firingId }) => firingId)).size,
    agreeing: agreeing.length,
    differing: differing.flatMap(({ pieceId }) => zonesOf.get(pieceId)!),
    divided: divided.flatMap((zones) => zones.map(({ id }) => id)),
    surface,
    movement: commonest(seen.map((proof) => proof.movement)),
    colour: palette?.[0]?.lab ?? null,
    palette,
    spread: spreadOf(agreeing, palette),
    defects: counted,
  };
}

function plainDefects(proof: Seen): DefectId[] {
  return proof.defects.filter(({ severity }) => severity >= PLAIN_SEVERITY).map(({ defect }) => defect);
}

function countDefects(seen: readonly Seen[]): Agreement['defects'] {
  const found = new Map<string, { defect: DefectId; count: number; severity: number }>();
  for (const proof of seen) {
    for (const defect of new Set(plainDefects(proof))) {
      const severity = Math.max(...proof.defects.filter((d) => d.defect === defect).map((d) => d.severity));
      const before = found.get(defect);
      found.set(defect, {
        defect,
        count: (before?.count ?? 0) + 1,
        severity: Math.max(before?.severity ?? 0, severity),
      });
    }
  }
  return [...found.values()].sort((a, b) => b.count - a.count || a.defect.localeCompare(b.defect));
}

/** The most frequent value that is not null; the earliest wins a tie. */
function commonest(values: readonly (string | null)[]): string | null {
  const counts = new Map<string, number>();
  for (const value of values) if (value !== null) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].reduce<[string | null, number]>(
    (best, pair) => (pair[1] > best[1] ? pair : best),
    [null, 0],
  )[0];
}

const toList = <T>(value: T | null): T[] => (value === null ? [] : [value]);

/** Palettes compared with each other; more of them are sampled evenly, for the work grows with their square. */
const MOST_COMPARED = 32;

/** The palette nearest to all others; null for none. */
export function middlePalette(all: readonly Palette[]): Palette | null {
  const step = Math.max(1, all.length / MOST_COMPARED);
  const palettes = Array.from(
    { length: Math.min(all.length, MOST_COMPARED) },
    (_, i) => all[Math.floor(i * step)]!,
  );
  const far = palettes.map(() => 0);
  for (let i = 0; i < palettes.length; i++)
    for (let k = i + 1; k < palettes.length; k++) {
      const difference = paletteDifference(palettes[i]!, palettes[k]!);
      far[i]! += difference;
      far[k]! += difference;
    }
  return palettes[far.indexOf(Math.min(...far))] ?? null;
}

function spreadOf(proofs: readonly Seen[], middle: Palette | null): number | null {
  const palettes = proofs.flatMap((proof) => toList(coloursOf(proof)));
  if (!middle || palettes.length < 2) return null;
  return Math.max(...palettes.map((palette) => paletteDifference(middle, palette)));
}
