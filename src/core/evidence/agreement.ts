import type { DefectId } from '../vocabulary';
import { deltaE00, type Lab } from '../colour';

/** What was seen on one zone, as far as it matters for agreement between twins. */
export interface Seen {
  readonly id: string;
  readonly surface: string | null;
  readonly movement: string | null;
  readonly colour: Lab | null;
  readonly defects: readonly { readonly defect: DefectId; readonly severity: number }[];
  /** False for an older recipe version or a firing more than half a cone off: shown, not counted. */
  readonly counts: boolean;
}

/** How well the proofs of an entry agree. */
export interface Agreement {
  /** Proofs that count. */
  readonly proofs: number;
  /** Of those, how many agree with what most show. */
  readonly agreeing: number;
  /** Ids of those that differ. */
  readonly differing: readonly string[];
  readonly surface: string | null;
  readonly movement: string | null;
  /** The proof colour nearest to all others. */
  readonly colour: Lab | null;
  /** Largest difference of an agreeing proof from that colour, CIEDE2000; null with fewer than two colours. */
  readonly spread: number | null;
  /** Defects seen at least plainly, most frequent first; severity is the worst seen. */
  readonly defects: readonly {
    readonly defect: DefectId;
    readonly count: number;
    readonly severity: number;
  }[];
}

/** A twin further than this from the middle colour (CIEDE2000) disagrees: plainly another colour. */
export const COLOUR_TOLERANCE = 6;

/**
 * Sums up the proofs of an entry: what most of them show, and which do not.
 *
 * A proof disagrees when its surface differs from the commonest, its colour is more than
 * {@link COLOUR_TOLERANCE} from the middle one, or a plain defect (severity 2 or more) is on it and not on
 * most others, or the reverse. A single proof agrees with itself. Movement is described, not judged: it
 * varies with thickness within a dip.
 *
 * @example agreementOf([satin, satin, gloss]) // { proofs: 3, agreeing: 2, … }
 */
export function agreementOf(all: readonly Seen[]): Agreement {
  const seen = all.filter((proof) => proof.counts);
  const surface = commonest(seen.map((proof) => proof.surface));
  const colour = middleColour(seen.flatMap((proof) => (proof.colour ? [proof.colour] : [])));
  const counted = countDefects(seen);
  const usual = new Set(counted.filter(({ count }) => count * 2 > seen.length).map(({ defect }) => defect));
  const differing = seen.filter((proof) => {
    const plain = new Set(plainDefects(proof));
    return (
      (surface !== null && proof.surface !== null && proof.surface !== surface) ||
      (colour !== null && proof.colour !== null && deltaE00(colour, proof.colour) > COLOUR_TOLERANCE) ||
      [...usual].some((defect) => !plain.has(defect)) ||
      [...plain].some((defect) => !usual.has(defect))
    );
  });
  const agreeing = seen.filter((proof) => !differing.includes(proof));
  return {
    proofs: seen.length,
    agreeing: agreeing.length,
    differing: differing.map((proof) => proof.id),
    surface,
    movement: commonest(seen.map((proof) => proof.movement)),
    colour,
    spread: spreadOf(agreeing, colour),
    defects: counted,
  };
}

function plainDefects(proof: Seen): DefectId[] {
  return proof.defects.filter(({ severity }) => severity >= 2).map(({ defect }) => defect);
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

/** Colours compared with each other; more of them are sampled evenly, for the work grows with their square. */
const MOST_COMPARED = 48;

function middleColour(all: readonly Lab[]): Lab | null {
  const step = Math.max(1, all.length / MOST_COMPARED);
  const colours = Array.from(
    { length: Math.min(all.length, MOST_COMPARED) },
    (_, i) => all[Math.floor(i * step)]!,
  );
  const far = (one: Lab) => colours.reduce((sum, other) => sum + deltaE00(one, other), 0);
  const ranked = colours.map((lab) => ({ lab, far: far(lab) })).sort((a, b) => a.far - b.far);
  return ranked[0]?.lab ?? null;
}

function spreadOf(proofs: readonly Seen[], middle: Lab | null): number | null {
  const colours = proofs.flatMap((proof) => (proof.colour ? [proof.colour] : []));
  if (!middle || colours.length < 2) return null;
  return Math.max(...colours.map((lab) => deltaE00(middle, lab)));
}
