import { stratifiedExact, type Table } from './contrast';
import type { FiredZoneFacts } from './columns';
import { ANY_GLAZE } from './factors';
import { naturalExperiments } from './natural';

/** Numbers in [0, 1) that are the same on every run. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48271) % 2147483647) / 2147483647;
}

const zone = (more: Partial<FiredZoneFacts>): FiredZoneFacts => ({
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
  reached: null,
  cooling: null,
  dried: null,
  clay: null,
  ...{ place: 'outside', form: 'cup', texture: null },
  hasDefect: false,
  ...more,
});

/** A studio of random pieces; the chance of the defect by what was done. */
function studio(seed: number, pieces: number, chance: (zone: FiredZoneFacts) => number): FiredZoneFacts[] {
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

const thick = ({ layers }: FiredZoneFacts) => layers[0]!.times > 1;

test('a planted cause is found, said with its numbers, and ranks first', () => {
  const zones = studio(7, 60, (one) => (thick(one) && one.layers[0]!.glaze === 'Sleeper' ? 0.8 : 0.05));
  const [first] = naturalExperiments(zones);
  expect(first).toMatchObject({
    factor: 'coats',
    about: 'Sleeper',
    levels: ['twice', 'once'],
    confounded: [],
  });
  expect(first!.q).toBeLessThan(0.02);
  expect(first!.oddsRatio).toBeGreaterThan(10);
});

test('equals a search of every pair by hand, pieces that carry both compared with themselves', () => {
  const zones = studio(3, 12, (one) => (thick(one) ? 0.6 : 0.2));
  const experiments = naturalExperiments(zones).filter(
    ({ factor, about }) => factor === 'coats' && about !== ANY_GLAZE,
  );
  expect(experiments.length).toBeGreaterThan(0);
  for (const one of experiments) {
    const own = zones.filter(({ layers }) => layers[0]!.glaze === one.about);
    const first = (at: FiredZoneFacts) => thick(at) === (one.levels[0] === 'twice');
    const isBoth = ({ pieceId }: FiredZoneFacts) =>
      new Set(own.filter((at) => at.pieceId === pieceId).map(first)).size === 2;
    const same = (a: FiredZoneFacts, b: FiredZoneFacts) => a.firing === b.firing && a.body === b.body;
    const partner = (a: FiredZoneFacts, b: FiredZoneFacts) =>
      first(a) !== first(b) && (isBoth(a) ? a.pieceId === b.pieceId : !isBoth(b) && same(a, b));
    const compared = own.filter((a) => own.some((b) => partner(a, b)));
    const pieces = (in_: boolean, bad: boolean) =>
      compared.filter((at) => first(at) === in_ && at.hasDefect === bad).length;
    expect(one.table).toEqual([
      [pieces(true, true), pieces(true, false)],
      [pieces(false, true), pieces(false, false)],
    ]);
    expect(one.paired).toBe(new Set(own.filter(isBoth).map(({ pieceId }) => pieceId)).size);
  }
});

test('once against twice on one tile is McNemar: what is on both halves alike says nothing', () => {
  const halves = (i: number, once: boolean, twice: boolean) => [
    zone({ pieceId: `t${i}`, hasDefect: once }),
    zone({ pieceId: `t${i}`, layers: [{ glaze: 'Sleeper', times: 2 }], hasDefect: twice }),
  ];
  // Eight tiles disagree with themselves, all the same way; ten pit everywhere for another reason.
  const zones = [
    ...Array.from({ length: 8 }, (_, i) => halves(i, false, true)),
    ...Array.from({ length: 10 }, (_, i) => halves(8 + i, true, true)),
  ].flat();
  const one = naturalExperiments(zones).find(({ factor }) => factor === 'coats')!;
  expect(one).toMatchObject({ levels: ['twice', 'once'], sets: 1, paired: 18, oddsRatio: null });
  expect(one.table).toEqual([
    [18, 0],
    [10, 8],
  ]);
  // Both tails of eight fair coins.
  expect(one.p).toBeCloseTo(2 / 2 ** 8, 12);
});

test('what differs together is said: all of one shelf from another batch', () => {
  const zones = studio(5, 160, ({ shelf }) => (shelf === '2' ? 0.9 : 0.05)).map((one) => ({
    ...one,
    batches: `S${one.shelf}`,
    firing: `two ${Number(one.pieceId.slice(1)) % 10}`,
  }));
  const found = naturalExperiments(zones).find(({ factor }) => factor === 'shelf');
  // Ten firings, all the same way: two of 1024 turns.
  expect(found!.p).toBeCloseTo(2 / 1024, 12);
  expect(found!.levels).toEqual(['2', '1']);
  expect(found!.confounded).toEqual(['batch']);
});

test('a batch is judged beside another in one firing, or by as many firings as it was in', () => {
  const found = (zones: readonly FiredZoneFacts[], factor: string) =>
    naturalExperiments(zones)
      .filter((one) => one.factor === factor && one.levels.join() === 'S2,S1')
      .sort((a, b) => a.p - b.p)[0];
  const mixed = studio(5, 80, () => 0)
    .map((one, i) => ({ ...one, batches: i % 4 < 2 ? 'S1' : 'S2' }))
    .map((one) => ({ ...one, hasDefect: one.batches === 'S2' }));
  expect(found(mixed, 'batch')!.p).toBeLessThan(1e-4);
  // The only firing with the new batch: all its pieces say no more than that one firing was bad.
  const once = studio(5, 80, ({ firing }) => (firing === 'two 3' ? 0.9 : 0.05));
  expect(found(once, 'batch')).toBeUndefined();
  expect(found(once, 'batchAcross')).toBeUndefined();
  const often = Array.from({ length: 16 }, (_, firing) =>
    studio(firing + 1, 6, () => (firing < 8 ? 0.05 : 0.9)).map((one) => ({
      ...one,
      pieceId: `${firing} ${one.pieceId}`,
      firing: `two ${firing}`,
      batches: firing < 8 ? 'S1' : 'S2',
    })),
  ).flat();
  const across = found(often, 'batchAcross')!;
  expect(across.byFiring!.flat().reduce((sum, n) => sum + n)).toBeLessThanOrEqual(16);
  expect(across.p).toBeGreaterThan(1e-4);
  expect(across.p).toBeLessThan(0.01);
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

/** Firings of six pieces each on two clays, half of them on thick tiles; what each was like, and its chance. */
function heats(
  seed: number,
  firings: readonly (Partial<FiredZoneFacts> & { chance: number })[],
): FiredZoneFacts[] {
  const next = seeded(seed);
  return firings.flatMap(({ chance, ...heat }, f) =>
    Array.from({ length: 6 }, (_, i) =>
      zone({
        ...heat,
        pieceId: `${f} ${i}`,
        firing: `two ${f}`,
        body: i % 2 ? 'Buffer White' : 'Cutting Red',
        layers: [{ glaze: 'Sleeper', times: 1 + (i % 3) }],
        hasDefect: next() < chance,
      }),
    ),
  );
}

test.each([
  ['atmosphere', { atmosphere: 'reduction' }, { atmosphere: 'oxidation' }, ['reduction', 'oxidation']],
  ['reached', { reached: 'under' }, { reached: 'at' }, ['under the cone', 'at the cone']],
  ['cooling', { cooling: 'free' }, { cooling: 'held' }, ['cooled by itself', 'held on the way down']],
] as const)(
  '%s belongs to the firing: each firing counts once, and is found',
  (factor, bad, sound, levels) => {
    const zones = heats(11, [
      ...Array.from({ length: 5 }, () => ({ ...bad, chance: 0.7 })),
      ...Array.from({ length: 6 }, () => ({ ...sound, chance: 0.05 })),
    ]);
    const found = naturalExperiments(zones).find((one) => one.factor === factor)!;
    expect(found).toMatchObject({
      about: 'Sleeper',
      levels,
      byFiring: [
        [5, 0],
        [0, 6],
      ],
      confounded: [],
    });
    // Fisher: one of the C(11, 5) ways to choose them.
    expect(found.p).toBeCloseTo(1 / 462, 12);
    // The pieces say which way it goes, they are not what is tested.
    expect(found.table[0][0] + found.table[0][1]).toBe(30);
  },
);

test('one bad firing is one, however many pieces it spoiled; what is not known is not compared', () => {
  const zones = heats(3, [
    { reached: 'under', chance: 1 },
    ...Array.from({ length: 4 }, () => ({ reached: 'at' as const, chance: 0.02 })),
    ...Array.from({ length: 4 }, () => ({ chance: 0.5 })),
  ]);
  const found = naturalExperiments(zones).filter(({ factor }) => factor === 'reached');
  expect(found.map(({ p }) => p)).toEqual([expect.closeTo(1 / 5, 12)]);
});

test('where firings scatter for themselves, what they were like is not taken for the reason', () => {
  let finds = 0;
  for (let seed = 1; seed <= 120; seed++) {
    const next = seeded(seed * 104729);
    const reached = () => (next() < 0.5 ? ('under' as const) : ('at' as const));
    const firings = Array.from({ length: 12 }, () => ({ reached: reached(), chance: next() ** 3 }));
    const own = naturalExperiments(heats(seed, firings)).filter(({ factor }) => factor === 'reached');
    if (own.some(({ p }) => p < 0.05)) finds++;
  }
  expect(finds / 120).toBeLessThanOrEqual(0.05);
});

test('wet layers and slip on dry clay are told from the same work done in time', () => {
  const layers = ['Sleeper', 'Fogman'].map((glaze) => ({ glaze, times: 1 }));
  const zones = Array.from({ length: 7 }, (_, i) => [
    zone({ pieceId: `w${i}`, layers, dried: false, hasDefect: true }),
    zone({ pieceId: `d${i}`, layers, dried: true }),
    zone({ pieceId: `s${i}`, slips: 'Sootline', clay: 'dry', hasDefect: true }),
    zone({ pieceId: `l${i}`, slips: 'Sootline', clay: 'leather-hard' }),
  ]).flat();
  const found = naturalExperiments(zones);
  const of = (name: string) => found.find(({ factor }) => factor === name);
  expect(of('drying')).toMatchObject({ levels: ['layers wet on wet', 'layers dry between'], sets: 1 });
  expect(of('clay')).toMatchObject({
    about: 'Sootline',
    levels: ['slip on nearly dry clay', 'slip on leather-hard clay'],
  });
});

test('a handle is told from the rest of the same cups, and combed clay from smooth clay in the same place', () => {
  const zones = Array.from({ length: 8 }, (_, i) => [
    zone({ pieceId: `c${i}`, place: 'handle', hasDefect: true }),
    zone({ pieceId: `c${i}` }),
    zone({ pieceId: `b${i}`, form: 'bowl', texture: 'combed', hasDefect: true }),
    zone({ pieceId: `s${i}`, form: 'bowl', texture: 'smooth' }),
    // Of a clay of which nobody said anything nothing follows.
    zone({ pieceId: `n${i}`, form: 'bowl', hasDefect: i % 2 === 0 }),
  ]).flat();
  const of = (name: string) => naturalExperiments(zones).find(({ factor }) => factor === name);
  expect(of('place')).toMatchObject({
    levels: ['handle', 'outside'],
    paired: 8,
    table: [
      [8, 0],
      [0, 8],
    ],
  });
  expect(of('texture')).toMatchObject({ levels: ['combed clay', 'smooth clay'], paired: 0, confounded: [] });
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
