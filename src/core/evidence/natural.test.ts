import { stratifiedExact, type Table } from './contrast';
import type { DoneZone } from './columns';
import { naturalExperiments } from './natural';

/** Numbers in [0, 1) that are the same on every run. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48271) % 2147483647) / 2147483647;
}

const zone = (more: Partial<DoneZone>): DoneZone => ({
  pieceId: 'p',
  firing: 'two 1',
  kiln: 'Number Two',
  cone: '6',
  atmosphere: 'oxidation',
  shelf: '1',
  body: 'Buffer White',
  slips: '',
  layers: [{ glaze: 'Sleeper', times: 1 }],
  batches: 'S1',
  hasDefect: false,
  ...more,
});

/** A studio of random pieces; the chance of the defect by what was done. */
function studio(seed: number, pieces: number, chance: (zone: DoneZone) => number): DoneZone[] {
  const next = seeded(seed);
  const any = <T>(list: readonly T[]) => list[Math.floor(next() * list.length)]!;
  return Array.from({ length: pieces }, (_, i) => {
    const firing = any(['two 1', 'two 2', 'two 3']);
    const piece = {
      pieceId: `p${i}`,
      firing,
      shelf: any(['1', '2']),
      body: any(['Buffer White', 'Cutting Red']),
      batches: firing === 'two 3' ? 'S2' : 'S1',
    };
    return [1, 2].map((times) => {
      const layers = next() < 0.5 ? [{ glaze: 'Sleeper', times }] : [{ glaze: 'Limewash', times }];
      const one = zone({ ...piece, layers });
      return { ...one, hasDefect: next() < chance(one) };
    });
  }).flat();
}

const thick = ({ layers }: DoneZone) => layers[0]!.times > 1;

test('a planted cause is found, said with its numbers, and ranks first', () => {
  const zones = studio(7, 60, (one) => (thick(one) && one.layers[0]!.glaze === 'Sleeper' ? 0.8 : 0.05));
  const [first] = naturalExperiments(zones);
  expect(first).toMatchObject({
    factor: 'coats',
    about: 'Sleeper',
    levels: ['twice', 'once'],
    confounded: [],
  });
  expect(first!.q).toBeLessThan(0.001);
  expect(first!.oddsRatio).toBeGreaterThan(10);
});

test('equals a search of every pair by hand', () => {
  const zones = studio(3, 12, (one) => (thick(one) ? 0.6 : 0.2));
  for (const one of naturalExperiments(zones).filter(({ factor }) => factor === 'coats')) {
    const own = zones.filter(({ layers }) => layers[0]!.glaze === one.about);
    const same = (a: DoneZone, b: DoneZone) => a.firing === b.firing && a.body === b.body;
    const level = (twice: boolean) => (at: DoneZone) => thick(at) === twice;
    const first = level(one.levels[0] === 'twice');
    const matched = own.filter((a) => own.some((b) => same(a, b) && first(a) !== first(b)));
    const pieces = (in_: boolean, bad: boolean) =>
      new Set(
        matched
          .filter((a) => first(a) === in_)
          .filter(
            (a) => matched.some((b) => b.pieceId === a.pieceId && first(b) === in_ && b.hasDefect) === bad,
          )
          .map((a) => a.pieceId),
      ).size;
    expect(one.table).toEqual([
      [pieces(true, true), pieces(true, false)],
      [pieces(false, true), pieces(false, false)],
    ]);
  }
});

test('what differs together is said: all of one level in another batch', () => {
  const zones = studio(5, 80, ({ firing }) => (firing === 'two 3' ? 0.9 : 0.05));
  const batch = naturalExperiments(zones).find(({ factor }) => factor === 'batch')!;
  expect(batch.levels).toEqual(['S2', 'S1']);
  expect(batch.confounded).toEqual(['firing']);
});

test('where nothing is planted, no more finds survive than the rate that is stated', () => {
  let finds = 0;
  for (let seed = 1; seed <= 120; seed++) {
    const zones = studio(seed * 7919, 40, () => 0.25);
    if (naturalExperiments(zones).some(({ q }) => q < 0.05)) finds++;
  }
  expect(finds / 120).toBeLessThanOrEqual(0.05);
});

test('order of layers is told apart from their number, and one piece is one, however many zones', () => {
  const over = (top: string, below: string, pieceId: string, hasDefect: boolean) =>
    zone({ pieceId, hasDefect, layers: [below, top].map((glaze) => ({ glaze, times: 1 })) });
  const zones = Array.from({ length: 6 }, (_, i) => [
    over('Fogman', 'Sleeper', `a${i}`, true),
    over('Fogman', 'Sleeper', `a${i}`, true),
    over('Sleeper', 'Fogman', `b${i}`, false),
  ]).flat();
  const order = naturalExperiments(zones).find(({ factor }) => factor === 'order')!;
  expect(order.levels).toEqual(['Fogman over Sleeper', 'Sleeper over Fogman']);
  expect(order.table).toEqual([
    [6, 0],
    [0, 6],
  ]);
});

test('nothing, one piece, all sound or all spoiled: no experiment, no NaN', () => {
  expect(naturalExperiments([])).toEqual([]);
  expect(naturalExperiments([zone({})])).toEqual([]);
  expect(naturalExperiments(studio(2, 30, () => 0))).toEqual([]);
  expect(naturalExperiments(studio(2, 30, () => 1))).toEqual([]);
});

test('exact over strata: the order of rows and strata does not matter', () => {
  const strata: Table[] = [
    [
      [3, 1],
      [1, 3],
    ],
    [
      [2, 0],
      [1, 4],
    ],
  ];
  const turned = strata.map(([a, b]): Table => [b, a]).reverse();
  expect(stratifiedExact(turned)).toBeCloseTo(stratifiedExact(strata), 12);
});
