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

/** Where the body's figure comes from. */
export interface Basis {
  /** Zones of the studio's tiles behind a learned limit; 0 for a calculation alone. */
  readonly tiles: number;
}

/**
 * A verdict in words that say how sure it is and what it rests on.
 *
 * @example verdictWords(bandOf({ glazeExpansion: 6.5, bodyExpansion: 6.6, thicknessMm: 0.3 }, 0.5), { tiles: 0 })
 *   // 'fits by calculation alone; could craze'
 */
export function verdictWords(band: FitBand, { tiles }: Basis): string {
  const basis = tiles > 0 ? `by ${tiles} zones of your tiles` : 'by calculation alone';
  const others = band.verdicts.filter((verdict) => verdict !== band.verdict);
  if (others.length === 0) return `${band.verdict} ${basis}`;
  return `${band.verdict} ${basis}; could ${listOf(others.map(infinitive))}`;
}

function infinitive(verdict: Verdict): string {
  return { crazes: 'craze', 'crazes later': 'craze later', fits: 'fit', 'may shiver': 'shiver' }[verdict];
}

function listOf(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;
}
