import { METRIC, sayMessage } from '../units';
import { DEFECTS, type DefectId } from '../vocabulary';
import { CAUSES } from './causes';
import { FLAGS, WORDS, type Evidence } from './evidence';
import { FINDINGS } from './findings';
import { LINKS } from './links';
import { askNext, QUESTIONS } from './questions';
import { doubt, rank } from './rank';

const ids = DEFECTS.map((defect) => defect.id);

/** Evidence drawn at random, contradictions included. */
function anyEvidence(seed: number): Evidence {
  let state = seed;
  const next = (n: number) => (state = (state * 48271) % 2147483647) % n;
  const words = Object.entries(WORDS)
    .filter(() => next(3) === 0)
    .map(([key, values]) => [key, values[next(values.length)]]);
  const flags = FLAGS.filter(() => next(3) === 0).map((key) => [key, next(2) === 0]);
  const numbers = { coats: next(5), expansionMismatch: next(60) / 10 - 3, holdMinutes: next(40) };
  return { ...Object.fromEntries([...words, ...flags]), ...(next(2) && numbers) } as Evidence;
}

test('every defect has causes, every cause a defect, remedies and a test; every weight speaks of a linked cause', () => {
  const linked = new Set(Object.values(LINKS).flat());
  expect(Object.keys(LINKS).sort()).toEqual([...ids].sort());
  expect([...linked].sort()).toEqual(CAUSES.map((cause) => cause.id).sort());
  for (const cause of CAUSES) {
    expect(cause.remedies.length).toBeGreaterThan(1);
    expect(sayMessage(cause.test, METRIC).length).toBeGreaterThan(20);
  }
  for (const { says } of FINDINGS) for (const cause of Object.keys(says)) expect(linked).toContain(cause);
  expect(new Set(FINDINGS.map(({ id }) => id)).size).toBe(FINDINGS.length);
});

test.each(ids)('%s: beliefs add up to 1 and nothing is NaN, whatever was told', (defect) => {
  for (let seed = 1; seed < 60; seed++) {
    const { causes, other } = rank(defect, anyEvidence(seed * 7919));
    const sum = causes.reduce((all, cause) => all + cause.score, other);
    expect(sum).toBeCloseTo(1, 12);
    expect(causes.map(({ score }) => score)).toEqual(
      [...causes.map(({ score }) => score)].sort((a, b) => b - a),
    );
  }
});

test('the order in which things were told does not matter', () => {
  for (let seed = 1; seed < 40; seed++) {
    const evidence = anyEvidence(seed * 104729);
    const turned = Object.fromEntries(Object.entries(evidence).reverse()) as Evidence;
    expect(rank('pinholing', turned)).toEqual(rank('pinholing', evidence));
  }
});

test('what says the same thing counts once', () => {
  const once = rank('pitting', { onlyWhereThick: true });
  const thrice = rank('pitting', { onlyWhereThick: true, thickness: 'thick', coats: 3, location: 'thick' });
  expect(thrice.causes.map(({ score }) => score)).toEqual(once.causes.map(({ score }) => score));
});

test('contradictions cancel in part and are shown on both sides', () => {
  const { causes } = rank('crazing', { thickness: 'thin', location: 'thick' });
  const thick = causes.find(({ cause }) => cause.id === 'glaze-too-thick')!;
  expect(thick.because).toHaveLength(1);
  expect(thick.against).toHaveLength(1);
});

test('with nothing told there is not enough to tell; with a plain case there is', () => {
  for (const defect of ids) expect(rank(defect, {}).enough).toBe(false);
  expect(rank('blistering', { onlyInOverlap: true, otherOrderClean: true }).enough).toBe(true);
  expect(rank('pinholing', { firing: 'normal' }).enough).toBe(false);
});

test('what to ask next is what is expected to take most off the doubt, and was not asked', () => {
  const asked = askNext('blistering', {});
  expect(asked[0]!.drop).toBeGreaterThan(0.2);
  expect(asked.map(({ drop }) => drop)).toEqual([...asked.map(({ drop }) => drop)].sort((a, b) => b - a));
  expect(['order', 'overlap']).toContain(asked[0]!.question.id);
  const then = askNext('blistering', { otherOrderClean: true, onlyInOverlap: true });
  expect(then.map(({ question }) => question.id)).not.toContain('order');
  for (const { drop } of then)
    expect(drop).toBeLessThanOrEqual(doubt('blistering', { otherOrderClean: true, onlyInOverlap: true }));
});

test('a question that cannot move any cause is not asked; each can move some', () => {
  expect(askNext('speck', {}).map(({ question }) => question.id)).not.toContain('slip');
  for (const question of QUESTIONS) {
    const useful = ids.some((defect: DefectId) =>
      askNext(defect, {}).some((one) => one.question === question),
    );
    expect([question.id, useful]).toEqual([question.id, true]);
  }
});
