import { counted } from '@/core/units';
import type { Cure } from '@/core/clinic';
import { ANY_GLAZE, shareWords, type NaturalExperiment, type Rise } from '@/core/evidence';
import type { Series } from '@/records/clinic';

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
export function worthWords({ p, q, sets, paired, firings, byFiring, confounded }: NaturalExperiment): string {
  const chance =
    q < FALSE_FINDS
      ? `unlikely to be chance (${p < RAREST ? `less than 1 in ${1 / RAREST}` : `1 in ${Math.round(1 / p)}`})`
      : 'could be chance, given everything that was tested';
  const own = paired ? ` (${paired} ${paired === 1 ? 'piece carries' : 'pieces carry'} both)` : '';
  const base = `${sets} matched ${sets === 1 ? 'set' : 'sets'}${own} in ${counted(firings, 'firing')}`;
  const but = confounded.length
    ? `; the ${confounded.join(' and the ')} ${confounded.length > 1 ? 'differ' : 'differs'} with it`
    : '';
  const rows = byFiring?.map(([more, others]) => `${more} of ${more + others}`);
  const each = rows ? `; firing by firing, more than usual in ${rows[0]} and ${rows[1]}` : '';
  return `${chance}${each}; ${base}${but}`;
}

/** How its worth was reached, figure by figure. */
export function reachedWords(one: NaturalExperiment): string {
  const { p, midP, least, q, oddsRatio } = one;
  const odds =
    oddsRatio === null ? 'no odds ratio: one side has none' : `odds ratio ${oddsRatio.toPrecision(2)}`;
  // Where so few pieces could not have said anything, a chance less strictly taken says nothing either.
  const less = midP < p && least <= FALSE_FINDS ? ` (mid-p ${smallWords(midP)})` : '';
  return `${testWords(one)}: p ${smallWords(p)}${less}. Corrected for all that was looked at: ${smallWords(q)}. ${odds[0]!.toUpperCase()}${odds.slice(1)}.`;
}

/** What was done to find the chance. */
function testWords({ factor, about, byFiring }: NaturalExperiment): string {
  if (byFiring)
    return 'Test over firings, each by what it showed beyond its matched sets, the levels dealt out to them in other ways';
  if (factor === 'shelf') return 'Test over firings, the difference in each turned round';
  if (about === ANY_GLAZE) return 'All glazes together, whatever a piece shows counted once';
  return 'Exact test, matched set by matched set';
}

function smallWords(chance: number): string {
  return chance < RAREST ? `< ${RAREST}` : chance.toPrecision(2);
}

/** Since when there is more of a defect, how much, and what else began then. */
export function riseWords({ by, watched, newBatches }: Series, { at, before, after, chance }: Rise): string {
  const since = watched.samples[at]!.words;
  const began = newBatches.length ? ` Batch ${newBatches.join(' and ')} came in with ${since}.` : '';
  return `Since ${by === 'batch' ? `batch ${since}` : since}: ${shareWords(after)}; before ${shareWords(before)}. In any other order of the ${by === 'batch' ? 'batches' : 'firings'} as great a rise comes once in ${Math.round(1 / chance)}.${began}`;
}

/** A share of belief as it is read: nothing that is possible is called nought. */
export function percentWords(share: number): string {
  return share < 0.01 ? '< 1 %' : `${Math.round(share * 100)} %`;
}

/**
 * What firing again did to a defect, in words.
 *
 * @example cureWords(cure) // 'Fired again as it was: gone on 5 of 7 (29 to 96 %); 1 better, 1 the same'
 */
export function cureWords({ isGlazed, gone, better, same, worse }: Cure): string {
  const others = [
    ...(better ? [`${better} better`] : []),
    ...(same ? [`${same} the same`] : []),
    ...(worse ? [`${worse} worse`] : []),
  ].join(', ');
  const how = isGlazed ? 'Glazed again and fired' : 'Fired again as it was';
  return `${how}: gone on ${shareWords(gone)}${others ? `; ${others}` : ''}`;
}
