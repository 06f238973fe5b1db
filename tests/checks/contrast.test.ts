import { contrastOf, fisherTwoSided, mantelHaenszel, oddsInterval, type Table } from '@/core/evidence';

// R. A. Fisher, The Design of Experiments (1935), the tea tasting table.
test('the lady tasting tea', () => {
  expect(
    fisherTwoSided([
      [3, 1],
      [1, 3],
    ]),
  ).toBeCloseTo(0.4857, 4);
});

// By hand: with these margins the tables weigh 1, 16, 36, 16 and 1, so at its upper end u the last has
// u⁴ / (1 + 16u + 36u² + 16u³ + u⁴) = 0.975 of the chance. The lower end, 0.2117, is from memory.
test('its exact conditional interval', () => {
  const [low, high] = oddsInterval([
    [3, 1],
    [1, 3],
  ]);
  expect(low).toBeCloseTo(0.2117, 4);
  const u = high!;
  expect(u ** 4 / (1 + 16 * u + 36 * u ** 2 + 16 * u ** 3 + u ** 4)).toBeCloseTo(0.975, 9);
});

/** By brute force: every table with these margins, its chance from factorials in whole numbers. */
function bruteFisher([[a, b], [c, d]]: Table): number {
  const choose = (n: number, k: number): bigint => {
    let product = 1n;
    for (let i = 0; i < k; i++) product = (product * BigInt(n - i)) / BigInt(i + 1);
    return product;
  };
  const ways = (x: number) => choose(a + b, x) * choose(c + d, a + c - x);
  const seen = ways(a);
  let [unlikely, all] = [0n, 0n];
  for (let x = Math.max(0, a + c - (c + d)); x <= Math.min(a + b, a + c); x++) {
    all += ways(x);
    if (ways(x) <= seen) unlikely += ways(x);
  }
  return Number((unlikely * 10n ** 15n) / all) / 1e15;
}

test('the test agrees with counting every table in whole numbers', () => {
  for (const table of [
    [
      [1, 13],
      [9, 4],
    ],
    [
      [0, 7],
      [5, 2],
    ],
    [
      [12, 30],
      [3, 41],
    ],
    [
      [2, 2],
      [2, 2],
    ],
    [
      [60, 1],
      [40, 22],
    ],
  ] as Table[])
    expect(Math.abs(fisherTwoSided(table) - bruteFisher(table))).toBeLessThan(1e-9);
});

test('ends that do not exist are said, and swapping the groups turns all around', () => {
  expect(
    oddsInterval([
      [0, 5],
      [3, 2],
    ])[0],
  ).toBe(0);
  expect(
    oddsInterval([
      [5, 0],
      [3, 2],
    ])[1],
  ).toBeNull();
  expect(
    contrastOf([
      [5, 0],
      [3, 2],
    ]).oddsRatio,
  ).toBeNull();
  expect(
    contrastOf([
      [0, 0],
      [3, 2],
    ]).riskDifference,
  ).toBeNull();
  const [low, high] = oddsInterval([
    [9, 4],
    [1, 13],
  ]);
  const [turnedLow, turnedHigh] = oddsInterval([
    [1, 13],
    [9, 4],
  ]);
  expect(1 / turnedHigh!).toBeCloseTo(low, 6);
  expect(Math.abs(1 / turnedLow / high! - 1)).toBeLessThan(1e-6);
});

// Simpson's reversal, worked by hand: in each stratum the odds are alike, together they seem not to be.
test('pooling over strata is not misled by what differs between them', () => {
  const strata: Table[] = [
    [
      [18, 2],
      [9, 1],
    ],
    [
      [1, 9],
      [2, 18],
    ],
  ];
  expect(mantelHaenszel(strata)).toBeCloseTo(1, 9);
  expect(
    mantelHaenszel([
      [
        [1, 0],
        [1, 0],
      ],
    ]),
  ).toBeNull();
});
