import { expansionOf, type Line, type MaterialBook } from '../chemistry';
import { shareOverFirings, type FiredZoneFacts, type Proportion } from '../evidence';
import { bandOf, COAT_THICKNESS, type BodyFigure, type FitBand } from '../fit';
import { crazingRound } from '../rounds';

/** One way of doing it and how often the defect came with it. */
export interface Risk {
  readonly words: string;
  /** Pieces with the defect. */
  readonly share: Proportion;
}

/** How the risk grows with the coats. */
export interface CoatsRisk {
  readonly steps: readonly (Risk & { readonly coats: number; readonly estimate: number })[];
  /** The fewest coats at which the risk is above the limit; null when none that was tried is. */
  readonly above: number | null;
}

/** More pieces with the defect than this are too many, share (judgement). */
export const RISK_LIMIT = 0.1;

/** Pieces by what was done, each counted once: with the defect when any of its zones shows it. */
function shares<T>(
  zones: readonly FiredZoneFacts[],
  by: (zone: FiredZoneFacts) => T | null,
): Map<T, Proportion> {
  const pieces = new Map<T, Map<string, boolean>>();
  const firings = new Map<T, Set<string>>();
  for (const zone of zones) {
    const key = by(zone);
    if (key === null) continue;
    const own = pieces.get(key) ?? new Map<string, boolean>();
    own.set(zone.pieceId, (own.get(zone.pieceId) ?? false) || zone.hasDefect);
    pieces.set(key, own);
    firings.set(key, (firings.get(key) ?? new Set<string>()).add(zone.firing));
  }
  return new Map(
    [...pieces].map(([key, own]) => {
      const having = [...own.values()].filter(Boolean).length;
      return [key, shareOverFirings(having, own.size, firings.get(key)!.size)];
    }),
  );
}

const glazesOf = ({ layers }: FiredZoneFacts) => layers.map(({ glaze }) => glaze);
const same = (one: readonly string[], other: readonly string[]) => one.join('\n') === other.join('\n');

/**
 * The risk of a defect by the number of coats over all proofs of one order of glazes. The estimates never fall
 * with more coats: neighbours that do are pooled (isotonic regression).
 *
 * Source: M. Ayer and others, Ann. Math. Stat. 26 (1955), 641–647.
 *
 * @param glazes bottom first
 * @param limit share of pieces, 0 to 1
 * @example with 0 of 10 once, 1 of 10 twice and 6 of 10 thrice: above is 3
 */
export function riskByCoats(
  zones: readonly FiredZoneFacts[],
  glazes: readonly string[],
  limit = RISK_LIMIT,
): CoatsRisk {
  const found = shares(zones, (zone) =>
    same(glazesOf(zone), glazes) ? zone.layers.reduce((sum, { times }) => sum + times, 0) : null,
  );
  const steps = [...found].sort(([a], [b]) => a - b);
  const estimates = rising(steps.map(([, share]) => share));
  const all = steps.map(([coats, share], i) => ({
    coats,
    words: coats === 1 ? 'once' : coats === 2 ? 'twice' : `${coats} coats`,
    share,
    estimate: estimates[i]!,
  }));
  return { steps: all, above: all.find(({ estimate }) => estimate > limit)?.coats ?? null };
}

/** Shares pooled with their neighbours until none falls. */
function rising(steps: readonly Proportion[]): number[] {
  const blocks: { count: number; of: number; steps: number }[] = [];
  for (const { count, of } of steps) {
    blocks.push({ count, of, steps: 1 });
    for (;;) {
      const [before, last] = [blocks.at(-2), blocks.at(-1)!];
      if (!before || before.count * last.of <= last.count * before.of) break;
      blocks.splice(-2, 2, {
        count: before.count + last.count,
        of: before.of + last.of,
        steps: before.steps + last.steps,
      });
    }
  }
  return blocks.flatMap(({ count, of, steps: n }) => new Array<number>(n).fill(count / of));
}

/** What the tiles say of two glazes, one over the other. */
export interface LayersRisk {
  /** The two orders that were fired, the one with less of the defect first. */
  readonly orders: readonly Risk[];
  /** The top glaze alone and over other glazes, least defect first. */
  readonly partners: readonly Risk[];
}

/**
 * Which of two orders, and which partner below the top glaze, the proofs favour. What was fired more often
 * stands first among equals.
 *
 * @param glazes two, bottom first
 */
export function riskByLayers(
  zones: readonly FiredZoneFacts[],
  [low, high]: readonly [string, string],
): LayersRisk {
  const two = zones.filter(({ layers }) => layers.length === 2);
  const orders = shares(two, (zone) => {
    const [a, b] = glazesOf(zone);
    return (a === low && b === high) || (a === high && b === low) ? `${b} over ${a}` : null;
  });
  const partners = shares(
    zones.filter(({ layers }) => layers.length === 1 || layers.length === 2),
    (zone) => {
      const glazes = glazesOf(zone);
      if (glazes.at(-1) !== high) return null;
      return glazes.length === 1 || glazes[0] === high ? `${high} alone` : `${high} over ${glazes[0]}`;
    },
  );
  return { orders: favoured(orders), partners: favoured(partners) };
}

function favoured(found: ReadonlyMap<string, Proportion>): Risk[] {
  return [...found]
    .map(([words, share]) => ({ words, share }))
    .sort((a, b) => a.share.share! - b.share.share! || b.share.of - a.share.of);
}

/** A rung of a crazing ladder and what is foretold of it. */
export interface Rung {
  readonly words: string;
  readonly lines: readonly Line[];
  /** 1e-6/K. */
  readonly expansion: number;
  readonly band: FitBand;
}

/**
 * What a crazing ladder is likely to show, rung by rung, before it is mixed.
 *
 * @param glaze its name and recipe
 * @param body the figure it is judged by
 * @param dips coats that are dipped
 * @returns empty when the expansion cannot be calculated
 */
export function ladderForecast(
  glaze: { readonly name: string; readonly lines: readonly Line[] },
  body: BodyFigure,
  dips: number,
  book: MaterialBook,
): Rung[] {
  return crazingRound(glaze).cells.flatMap(({ words, lines }) => {
    const appen = expansionOf(lines ?? [], book);
    if (appen === null) return [];
    const thicknessMm = COAT_THICKNESS.dipped.fired * dips;
    const input = { glazeExpansion: appen, bodyExpansion: body.expansion, thicknessMm };
    return [{ words, lines: lines ?? [], expansion: appen, band: bandOf(input, body.miss) }];
  });
}
