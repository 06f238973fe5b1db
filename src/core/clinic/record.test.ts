import { common } from './common';
import { QUESTIONS } from './questions';
import { rank } from './rank';
import { evidenceOf, ingredientsOf, type RecordFacts, type RecordZone } from './record';

const zone = (layers: [string, number][], more: Partial<RecordZone> = {}): RecordZone => ({
  layers: layers.map(([glaze, times]) => ({ glaze, times })),
  surface: 'gloss',
  movement: 'stable',
  place: null,
  ...more,
});
const facts = (zones: readonly RecordZone[], more: Partial<RecordFacts> = {}): RecordFacts => ({
  defect: 'pitting',
  zones,
  body: { iron: 'none', coarse: false, coneTo: '10', absorption: 1, expansion: 6.5 },
  firing: {
    cone: '6',
    achievedCone: 6.1,
    atmosphere: 'oxidation',
    kind: 'glaze',
    segments: [
      { target: 1100, hold: 0 },
      { target: 1205, hold: 15 },
    ],
    heldMinutes: 17,
    reduction: null,
  },
  recipes: new Map([['plum', [{ material: 'Silicon carbide', amount: 0.6 }]]]),
  expansions: new Map([
    ['plum', 7],
    ['green', 8],
  ]),
  twins: { having: 0, without: 0 },
  neighboursHaving: 0,
  otherOrder: null,
  alone: [],
  ageDays: 0,
  slipOn: null,
  driedBetween: null,
  kilnFilled: null,
  method: null,
  lowestGlazeMm: null,
  ...more,
});
const bad = { place: 'thick' };

test('only where thick: the thinner zone of the same glaze is sound; not when that shows it too', () => {
  const twice = zone([['plum', 2]], bad);
  expect(evidenceOf(facts([zone([['plum', 1]]), twice]))).toMatchObject({ onlyWhereThick: true, coats: 2 });
  expect(evidenceOf(facts([zone([['plum', 1]], bad), twice])).onlyWhereThick).toBeUndefined();
  expect(evidenceOf(facts([zone([['plum', 3]]), twice])).onlyWhereThick).toBe(false);
  expect(evidenceOf(facts([zone([['green', 1]]), twice])).onlyWhereThick).toBeUndefined();
});

test('only in the overlap needs a sound zone of one of its glazes alone', () => {
  const over = zone(
    [
      ['green', 1],
      ['plum', 1],
    ],
    { place: 'overlap' },
  );
  expect(evidenceOf(facts([zone([['green', 1]]), over])).onlyInOverlap).toBe(true);
  expect(evidenceOf(facts([over])).onlyInOverlap).toBeUndefined();
  expect(evidenceOf(facts([zone([['green', 1]]), zone([['plum', 1]], bad), over])).onlyInOverlap).toBe(false);
});

test('the other order counts from two proofs on', () => {
  const over = zone(
    [
      ['green', 1],
      ['plum', 1],
    ],
    bad,
  );
  const other = (having: number, without: number) =>
    evidenceOf(facts([over], { otherOrder: { having, without } })).otherOrderClean;
  expect([other(0, 1), other(0, 2), other(1, 1)]).toEqual([undefined, true, false]);
});

test.each([
  [
    [
      [2, 18],
      [0, 9],
    ],
    true,
  ],
  [
    [
      [2, 19],
      [0, 9],
    ],
    undefined,
  ],
  [
    [
      [1, 3],
      [0, 9],
    ],
    undefined,
  ],
  [
    [
      [0, 4],
      [0, 4],
    ],
    false,
  ],
  [
    [
      [0, 4],
      [0, 3],
    ],
    undefined,
  ],
  [[], undefined],
] as const)('each glaze alone with and without it %j: alone too %s', (counts, told) => {
  const alone = counts.map(([having, without]) => ({ having, without }));
  const over = zone(
    [
      ['green', 1],
      ['plum', 1],
    ],
    bad,
  );
  expect(evidenceOf(facts([over], { alone })).aloneToo).toBe(told);
  expect(evidenceOf(facts([zone([['plum', 2]], bad)], { alone })).aloneToo).toBeUndefined();
});

test('mismatch is of the mixture by its coats; unknown when a glaze or the body is', () => {
  const over = (low: number, high: number) =>
    zone(
      [
        ['green', low],
        ['plum', high],
      ],
      bad,
    );
  expect(evidenceOf(facts([over(1, 1)])).expansionMismatch).toBeCloseTo(1, 9);
  expect(evidenceOf(facts([over(1, 3)])).expansionMismatch).toBeCloseTo(0.75, 9);
  expect(evidenceOf(facts([zone([['other', 1]], bad)])).expansionMismatch).toBeUndefined();
});

test.each([
  [5.4, '5½'],
  [6.1, '6'],
  [-0.9, '02'],
  [null, undefined],
])('cones that say %d are nearest to %s', (achievedCone, name) => {
  const { firing } = facts([]);
  const found = evidenceOf(facts([zone([['plum', 1]], bad)], { firing: { ...firing, achievedCone } }));
  expect(found.achievedCone).toBe(name);
});

test('a hold is what the log had, not what the programme meant; without a log nothing is said of it', () => {
  const held = (heldMinutes: number | null, segments = [{ target: 1205, hold: 15 }]) => {
    const { firing } = facts([]);
    const { holdMinutes, dropHold } = evidenceOf(
      facts([zone([['plum', 1]], bad)], { firing: { ...firing, segments, heldMinutes } }),
    );
    return [holdMinutes, dropHold];
  };
  expect(held(15)).toEqual([15, false]);
  expect(held(1)).toEqual([0, false]);
  const drop = [
    { target: 1200, hold: 0 },
    { target: 1100, hold: 30 },
  ];
  expect(held(1, drop)).toEqual([0, true]);
  expect(held(null, drop)).toEqual([undefined, undefined]);
});

test('what the coats and the log say is not asked again', () => {
  const known = evidenceOf(
    facts([zone([['plum', 1]], bad)], {
      ...{ lowestGlazeMm: 5, method: 'brush', driedBetween: false, kilnFilled: 0.5 },
      firing: { ...facts([]).firing, reduction: 'heavy' },
    }),
  );
  expect(known).toMatchObject({
    ...{ nearFoot: true, method: 'brush', dryBetweenCoats: false, kilnFilled: 0.5, reduction: 'heavy' },
  });
  const asked = (evidence: typeof known) =>
    QUESTIONS.filter(({ answers }) =>
      answers.some(({ gives }) => Object.keys(gives).every((key) => !(key in evidence))),
    ).map(({ id }) => id);
  expect(asked(known)).not.toEqual(expect.arrayContaining(['foot']));
  expect(evidenceOf(facts([], { lowestGlazeMm: 20, method: 'trail' }))).toMatchObject({ nearFoot: false });
});

test('one piece alone needs that no neighbour shows it; a cause between layers needs two glazes', () => {
  const twins = { having: 0, without: 4 };
  expect(evidenceOf(facts([zone([['plum', 1]], bad)], { twins })).pattern).toBe('one-piece');
  expect(
    evidenceOf(facts([zone([['plum', 1]], bad)], { twins, neighboursHaving: 1 })).pattern,
  ).toBeUndefined();
  const layered = (layers: [string, number][]) =>
    rank('blistering', evidenceOf(facts([zone(layers, bad)]))).causes.findIndex(
      ({ cause }) => cause.id === 'incompatible-layer',
    );
  expect(layered([['plum', 2]])).toBeGreaterThan(3);
  expect(
    layered([
      ['green', 1],
      ['plum', 1],
    ]),
  ).toBeLessThan(layered([['plum', 2]]));
});

test('twins make a pattern, late defects are late, and without the defect its layers say nothing', () => {
  const one = zone([['plum', 1]], bad);
  const pattern = (having: number, without: number) =>
    evidenceOf(facts([one], { twins: { having, without } })).pattern;
  expect([pattern(0, 0), pattern(2, 0), pattern(0, 2), pattern(1, 1)]).toEqual([
    undefined,
    'twins-agree',
    'one-piece',
    undefined,
  ]);
  expect(evidenceOf(facts([one], { ageDays: 150 })).appearsLate).toBe(true);
  const unmarked = evidenceOf(facts([zone([['plum', 1]])]));
  expect(unmarked).toMatchObject({ targetCone: '6' });
  for (const key of ['coats', 'glazeHas', 'location', 'appearsLate'])
    expect(unmarked).not.toHaveProperty(key);
});

test('a recipe tells its gases, its plastic clay and its colourants by names and amounts', () => {
  const lines = (...rows: [string, number][]) => rows.map(([material, amount]) => ({ material, amount }));
  expect(ingredientsOf(lines(['Soda ash', 8], ['Ball clay', 14], ['Silica', 10]))).toEqual(['soda-ash']);
  expect(ingredientsOf(lines(['Kaolin', 20], ['Ball clay', 8], ['Zinc oxide', 4]))).toEqual([
    'zinc',
    'high-clay',
  ]);
  expect(ingredientsOf(lines(['Copper carbonate', 4], ['Tin oxide', 2]))).toEqual([
    'carbonates',
    'copper',
    'tin',
  ]);
  expect(ingredientsOf([])).toEqual([]);
});

test('of several pieces only what says the same of each is in common', () => {
  const one = { coats: 2, bodyCoarse: true, glazeHas: ['zircon'] as const };
  expect(common([one, { ...one, coats: 1 }, { ...one, glazeHas: ['tin'] }])).toEqual({ bodyCoarse: true });
  expect(common([one])).toEqual(one);
  expect(common([one, {}])).toEqual({});
  expect(common([])).toEqual({});
});
