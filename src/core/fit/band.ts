import { counted } from '../units';
import type { BodyFigure } from './body';
import { fitOf, VERDICTS, type Fit, type FitInput, type Verdict } from './stress';

/** A verdict with what the uncertainty of its figures makes of it. */
export interface FitBand extends Fit {
  /** Half the width of the band, 1e-6/K. */
  readonly miss: number;
  /** Every verdict that lies within the band, from crazes to may shiver. */
  readonly verdicts: readonly Verdict[];
  /** Whether the whole band gives one verdict. */
  readonly sure: boolean;
}

/**
 * The fit of a glaze on a body with the uncertainty of the mismatch carried through.
 *
 * @param input as for {@link fitOf}
 * @param miss half the width of the band in 1e-6/K; 0.5 when both expansions are calculated or quoted
 * @example bandOf({ glazeExpansion: 6.8, bodyExpansion: 6.6, thicknessMm: 0.3 }, 0.5).verdicts
 *   // ['crazes', 'crazes later', 'fits']
 */
export function bandOf(input: FitInput, miss: number): FitBand {
  const at = (shift: number) => fitOf({ ...input, glazeExpansion: input.glazeExpansion + shift });
  const ends = [at(miss), at(-miss)].map((fit) => VERDICTS.indexOf(fit.verdict));
  const verdicts = VERDICTS.slice(ends[0], ends[1]! + 1);
  return { ...at(0), miss, verdicts, sure: verdicts.length === 1 };
}

/** What a body's figure rests on: tiles (pieces) in all and of each glaze; none for a calculation alone. */
export type Basis = Pick<BodyFigure, 'tiles' | 'tilesOf'>;

/**
 * A verdict in words that say that it is calculated, how sure it is and what the clay's limit rests on.
 *
 * @param glazeId the glaze that is judged; null for several together
 * @example verdictWords(band, { tiles: 41, tilesOf: { a: 30, b: 11 } }, 'c')
 *   // 'fits (calculated); this clay’s limit rests on 41 tiles of 2 glazes, none of this one'
 */
export function verdictWords(band: FitBand, basis: Basis, glazeId: string | null = null): string {
  const others = band.verdicts.filter((verdict) => verdict !== band.verdict);
  const could = others.length ? `; could ${listOf(others.map(infinitive))}` : '';
  return `${band.verdict} (calculated)${could}; ${basisWords(basis, glazeId)}`;
}

/** What a clay's limit rests on. @example 'this clay’s limit rests on 41 tiles of 9 glazes, none of this one' */
export function basisWords({ tiles, tilesOf }: Basis, glazeId: string | null = null): string {
  if (tiles === 0) return 'this clay’s limit is from its data sheet, none of your tiles yet';
  const glazes = Object.keys(tilesOf).length;
  const own = glazeId === null ? null : (tilesOf[glazeId] ?? 0);
  const ofThis = own === null ? '' : `, ${own === 0 ? 'none' : own} of this one`;
  return `this clay’s limit rests on ${tiles} tiles of ${counted(glazes, 'glaze')}${ofThis}`;
}

function infinitive(verdict: Verdict): string {
  return { crazes: 'craze', 'crazes later': 'craze later', fits: 'fit', 'may shiver': 'shiver' }[verdict];
}

function listOf(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;
}
