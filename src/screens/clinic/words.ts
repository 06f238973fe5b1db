import type { NaturalExperiment } from '@/core/evidence';

/** The rate of false finds that is put up with. */
const FALSE_FINDS = 0.05;
/** Rarer than this need not be told apart. */
const RAREST = 1e-4;

/** What a natural experiment shows, in one honest sentence. */
export function experimentWords({ about, levels, table }: NaturalExperiment): string {
  const [[a, b], [c, d]] = table;
  return `${about}: ${levels[0]} ${a} of ${a + b}, ${levels[1]} ${c} of ${c + d}`;
}

/** How much it is worth: by the corrected chance, the sets it rests on, and what else differs. */
export function worthWords({ p, q, sets, firings, confounded }: NaturalExperiment): string {
  const chance =
    q < FALSE_FINDS
      ? `unlikely to be chance (${p < RAREST ? `less than 1 in ${1 / RAREST}` : `1 in ${Math.round(1 / p)}`})`
      : 'may be chance, among all that was looked at';
  const base = `${sets} matched ${sets === 1 ? 'set' : 'sets'} in ${firings} ${firings === 1 ? 'firing' : 'firings'}`;
  const but = confounded.length ? `; the ${confounded.join(' and the ')} differs with it` : '';
  return `${chance}; ${base}${but}`;
}
