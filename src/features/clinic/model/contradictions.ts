import { closedCauseWords, ladderVerdict, type ClosedCause } from '@/core/clinic';
import type { Forward } from './forwardOf';

/** The cause that a crazing ladder tries. */
const OF_FIT: ClosedCause = 'expansion-mismatch';

/**
 * What the crazing ladder, fired or calculated, says against the cause that a case was closed with.
 *
 * @returns sentences for the page of the case, none where nothing contradicts
 */
export function contradictionsOf(
  { cause, causeWords }: { readonly cause: ClosedCause | null; readonly causeWords: string | null },
  forward: Forward | null,
): string[] {
  if (cause === null || forward?.kind !== 'ladder') return [];
  const { glaze, body, rungs } = forward;
  const closed = `Closed as “${closedCauseWords(cause, causeWords)}”`;
  const isOfFit = cause === OF_FIT;
  const found: string[] = [];
  const said = ladderVerdict(
    rungs.map(({ words, fired }) => ({ words, read: fired?.read ?? 0, crazed: fired?.crazed ?? 0 })),
  );
  if (said?.kind === 'stops' && !isOfFit)
    found.push(
      `${closed}, but the fired ladder ends the crazing from ${said.from} on: that speaks for the fit of glaze and clay.`,
    );
  if (said?.kind === 'never stops' && isOfFit)
    found.push(`${closed}, but no step of the fired ladder ended the crazing.`);
  if (said?.kind === 'sound as it is' && isOfFit)
    found.push(`${closed}, but ${glaze} as it is did not craze in the fired ladder on ${body}.`);
  const { band } = rungs[0]!;
  const crazes = band.verdict.startsWith('crazes');
  if (band.sure && isOfFit !== crazes)
    found.push(
      `${closed}, but by calculation ${glaze} ${crazes ? band.verdict : 'does not craze'} on ${body}.`,
    );
  return found;
}

/**
 * What a rung gave against what was foretold of it.
 *
 * @example againstForecast('crazes later', { read: 2, crazed: 0 }) // true: it did not, or not yet
 */
export function againstForecast(
  verdict: string,
  fired: { readonly read: number; readonly crazed: number } | null,
): boolean {
  if (!fired || fired.read === 0) return false;
  return verdict.startsWith('crazes') ? fired.crazed === 0 : fired.crazed > 0;
}
