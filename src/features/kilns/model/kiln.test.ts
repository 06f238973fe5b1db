import { climbAt, coneAt, driftOf, type FiringWitness } from '@/core/firing';
import { programmeConeWords } from './programmeConeWords';
import { METRIC, sayMessage } from '@/core/units';
import { driftWords } from './kilnWords';

const said = (...facts: Parameters<typeof driftWords>) =>
  driftWords(...facts).map((one) => sayMessage(one, METRIC));

/** Firings a week apart whose log says cone 6 and whose cones say so many degrees less. */
function firings(...offsets: readonly number[]): FiringWitness[] {
  return offsets.map((off, i) => ({
    day: 20_400 + i * 7,
    logged: 6,
    shown: coneAt(climbAt(6, 60) - off, 60)!.index,
  }));
}

test('a thermocouple that agrees is said to', () => {
  expect(said(driftOf(firings(1, -1, 0.5), []))[0]).toMatch(
    /^The thermocouple agrees with the cones \(.*3 firings/,
  );
});

test('one that reads hot says by how much, and what to aim for', () => {
  const [answer] = said(driftOf(firings(12, 11, 13, 11.8), []));
  expect(answer).toMatch(/now reads about 12 °C hot/);
  expect(answer).toMatch(/Aim 12 °C higher for the same cone/);
  expect(said(driftOf(firings(-9, -8.5, -9.5), []))[0]).toMatch(/9 °C cold.*Aim 9 °C lower/);
});

test('a drift and a step are told apart', () => {
  expect(said(driftOf(firings(2, 4.2, 6, 8.1, 10, 12.2), [])).join(' ')).toMatch(
    /drifts by \+\d+ °C in 30 days/,
  );
  const steps = said(driftOf(firings(12, 11, 12.4, 1, 2, 1.4), [{ day: 20_415, part: 'elements' }]));
  expect(steps.join(' ')).toMatch(/A step of −1\d °C \(.*\) with the new elements/);
  expect(steps[0]).toMatch(/3 firings since/);
});

test('without cones there is nothing to say yet', () => {
  expect(said(driftOf([], []))).toEqual([expect.stringMatching(/^No firing has both/)]);
  expect(said(driftOf([], []), 2)).toEqual([expect.stringMatching(/^2 firings have both .* only a range/)]);
});

test('two kilns on one programme are compared with their scatter', () => {
  const kiln = (name: string, ...reached: number[]) => ({ kilnId: name, kiln: name, reached });
  expect(programmeConeWords([])).toBe('');
  expect(programmeConeWords([kiln('Two', 5.9)])).toBe('Two reached 5.9 on the mean of 1');
  expect(programmeConeWords([kiln('Two', 5.9, 6, 5.95), kiln('Three', 5.3, 5.35, 5.25)])).toMatch(
    /they differ by 0\.[67] cones$/,
  );
  expect(programmeConeWords([kiln('Two', 5.9, 6.2), kiln('Three', 5.7, 6.1)])).toMatch(
    /no plain difference$/,
  );
});
