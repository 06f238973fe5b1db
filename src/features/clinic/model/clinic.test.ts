import { closedCauseWords } from '@/core/clinic';
import { bandOf, type Verdict } from '@/core/fit';
import { closedSchema } from '../schema';
import { ANY_GLAZE, type NaturalExperiment } from '@/core/evidence';
import { againstForecast, contradictionsOf } from './contradictions';
import { concerning } from './concerning';
import { readAnswers, evidenceFromAnswers, writeAnswers } from './answers';
import { experimentWords, reachedWords, worthWords } from './words';

const experiment = (more: Partial<NaturalExperiment> = {}): NaturalExperiment => ({
  factor: 'coats',
  about: 'Plum Siding',
  levels: ['twice', 'once'],
  table: [
    [9, 4],
    [1, 13],
  ],
  byFiring: null,
  least: 0,
  sets: 2,
  paired: 0,
  firings: 2,
  p: 1 / 300,
  midP: 1 / 500,
  q: 0.01,
  oddsRatio: 29,
  confounded: [],
  ...more,
});

test('what was told stands in the address, and what is not understood is left out', () => {
  const told = readAnswers('needle.1,order.0,melting.0,edges.7,,hold');
  expect(told).toEqual([
    { question: 'needle', answer: 1 },
    { question: 'order', answer: 0 },
  ]);
  expect(readAnswers(writeAnswers(told))).toEqual(told);
  expect(evidenceFromAnswers(told)).toEqual({ reachesBody: false, otherOrderClean: true });
  expect(readAnswers(undefined)).toEqual([]);
});

test('a natural experiment is said with its numbers, its worth and what else differs', () => {
  expect(experimentWords(experiment())).toBe('Plum Siding: twice 9 of 13, once 1 of 14');
  expect(worthWords(experiment())).toBe('unlikely to be chance (1 in 300); 2 matched sets in 2 firings');
  expect(worthWords(experiment({ q: 0.2, sets: 1, firings: 1, confounded: ['batch'] }))).toBe(
    'could be chance, given everything that was tested; 1 matched set in 1 firing; the batch differs with it',
  );
  const byFiring = [
    [4, 0],
    [0, 9],
  ] as const;
  expect(worthWords(experiment({ byFiring, firings: 13 }))).toBe(
    'unlikely to be chance (1 in 300); firing by firing, more than usual in 4 of 4 and 0 of 9; 2 matched sets in 13 firings',
  );
  expect(reachedWords(experiment({ byFiring }))).toContain('over firings');
  expect(reachedWords(experiment({ factor: 'shelf' }))).toContain('turned round');
  expect(reachedWords(experiment({ about: ANY_GLAZE }))).toContain('All glazes together');
  expect(reachedWords(experiment({ least: 0.2 }))).not.toContain('mid-p');
  expect(worthWords(experiment({ p: 1e-9 }))).toContain('less than 1 in 10000');
  expect(reachedWords(experiment())).toBe(
    'Exact test, matched set by matched set: p 0.0033 (mid-p 0.0020). Corrected for all that was looked at: 0.010. Odds ratio 29.',
  );
});

test('experiments on the glazes in question come first, those that say nothing not at all', () => {
  const all = [
    experiment({ about: 'Sleeper', p: 1e-6 }),
    experiment({ about: 'Limewash', p: 1e-3 }),
    experiment({ about: 'Fogman', q: 0.9 }),
  ];
  const found = { headwords: ['Limewash over Rust Yard'] };
  expect(concerning(all, found).map(({ about }) => about)).toEqual(['Limewash', 'Sleeper']);
  expect(concerning(all, null).map(({ about }) => about)).toEqual(['Sleeper', 'Limewash']);
});

test('a case may end with another cause, which then has to be said', () => {
  const end = (more: object) =>
    closedSchema.safeParse({ cause: 'other', helped: 'a new kiln shelf', ...more });
  expect(end({ causeWords: 'a drip from the lid' }).data).toMatchObject({
    causeWords: 'a drip from the lid',
  });
  expect(end({ causeWords: ' ' }).error?.issues[0]?.path).toEqual(['causeWords']);
  const known = end({ cause: 'glaze-too-thick', causeWords: 'typed, then chosen' });
  expect(known.data).toMatchObject({ causeWords: null });
  expect(closedCauseWords('other', 'a drip from the lid')).toBe('a drip from the lid');
});

/** A ladder of three rungs: pieces that crazed of two, null where none was fired; all foretold alike. */
function ladderOf(crazed: readonly (number | null)[], verdict: Verdict, sure = true) {
  return {
    kind: 'ladder' as const,
    glaze: 'Lamp Clear',
    body: 'Viaduct Porcelain',
    rungs: crazed.map((count, i) => ({
      words: `step ${i}`,
      lines: [],
      expansion: 7,
      band: { ...bandOf({ glazeExpansion: 7, bodyExpansion: 6.4, thicknessMm: 0.3 }, 0.1), verdict, sure },
      fired:
        count === null
          ? null
          : { words: `step ${i}`, lines: [], read: 2, crazed: count, round: { id: 'r', name: 'Ladder' } },
    })),
  };
}

test('a closed case and the ladder that say different things are both told', () => {
  const fit = { cause: 'expansion-mismatch' as const, causeWords: null };
  const thick = { cause: 'glaze-too-thick' as const, causeWords: null };
  const cured = ladderOf([2, 2, 0], 'crazes');
  expect(contradictionsOf(fit, cured)).toEqual([]);
  expect(contradictionsOf(thick, cured)).toEqual([
    expect.stringMatching(/^Closed as “.*thick.*”, but the fired ladder ends the crazing from step 2 on/),
    expect.stringMatching(/but by calculation Lamp Clear crazes on Viaduct Porcelain\.$/),
  ]);
  expect(contradictionsOf(fit, ladderOf([2, 2, 2], 'crazes'))).toEqual([
    expect.stringMatching(/no step of the fired ladder ended the crazing\.$/),
  ]);
  expect(contradictionsOf(fit, ladderOf([0, 0, 0], 'fits'))).toEqual([
    expect.stringMatching(/Lamp Clear as it is did not craze in the fired ladder on Viaduct Porcelain\.$/),
    expect.stringMatching(/by calculation Lamp Clear does not craze/),
  ]);
  // What is not sure, not fired or comes and goes speaks against nothing.
  expect(contradictionsOf(thick, ladderOf([null, null, null], 'crazes', false))).toEqual([]);
  expect(contradictionsOf(thick, ladderOf([2, 0, 2], 'crazes', false))).toEqual([]);
  expect(contradictionsOf(thick, ladderOf([null, 0, 0], 'crazes', false))).toEqual([]);
  expect(contradictionsOf(fit, null)).toEqual([]);
  // A rung against its forecast, also where crazing is foretold for later only.
  expect(againstForecast('crazes later', { read: 2, crazed: 0 })).toBe(true);
  expect(againstForecast('fits', { read: 2, crazed: 1 })).toBe(true);
  expect(againstForecast('fits', { read: 2, crazed: 0 })).toBe(false);
  expect(againstForecast('crazes', { read: 0, crazed: 0 })).toBe(false);
});
