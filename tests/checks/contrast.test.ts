import {
  benjaminiHochberg,
  contrastOf,
  fisherTails,
  fisherTwoSided,
  mantelHaenszel,
  oddsInterval,
  shareOf,
  stratifiedExact,
  stratifiedTails,
  type Table,
} from '@/core/evidence';

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

// By hand from the same weights: those rarer, 2 of 70, and half of those as rare, 16 of 70.
test('its mid-p', () => {
  expect(
    fisherTails([
      [3, 1],
      [1, 3],
    ]).midP,
  ).toBeCloseTo(18 / 70, 9);
});

// M. W. Fagerland, S. Lydersen and P. Laake, BMC Med. Res. Methodol. 13 (2013), 91: airway
// hyper-responsiveness before and after, one pair against seven; exact 0.070, mid-p 0.039 (from memory).
// By hand: 2 (1 + 8) / 2⁸ and one 8 / 2⁸ less.
test('mid-p of pairs', () => {
  const pair = (worse: boolean): Table =>
    worse
      ? [
          [1, 0],
          [0, 1],
        ]
      : [
          [0, 1],
          [1, 0],
        ];
  const { p, midP } = stratifiedTails([pair(true), ...Array.from({ length: 7 }, () => pair(false))]);
  expect(p).toBeCloseTo(18 / 256, 9);
  expect(midP).toBeCloseTo(10 / 256, 9);
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

describe('Clopper–Pearson intervals', () => {
  // binom.test of R, its documentation's example after W. J. Conover (1971), Practical Nonparametric
  // Statistics, p. 97 (Mendel's peas); the figures are from memory.
  test('682 of 925', () => {
    const { interval } = shareOf(682, 925);
    expect(interval[0]).toBeCloseTo(0.7076683, 6);
    expect(interval[1]).toBeCloseTo(0.7654066, 6);
  });

  // The closed forms of the ends: J. A. Hanley and A. Lippman-Hand, JAMA 249 (1983), 1743–1745.
  test.each([1, 3, 10, 200])('none and all of %d', (n) => {
    expect(shareOf(0, n).interval[1]).toBeCloseTo(1 - 0.025 ** (1 / n), 9);
    expect(shareOf(n, n).interval[0]).toBeCloseTo(0.025 ** (1 / n), 9);
  });

  test('cover the truth at least as often as they say, by summing the binomial', () => {
    const [n, truth] = [14, 0.27];
    let covered = 0;
    for (let k = 0, choose = 1; k <= n; choose = (choose * (n - k)) / (k + 1), k++) {
      const [low, high] = shareOf(k, n).interval;
      if (low <= truth && truth <= high) covered += choose * truth ** k * (1 - truth) ** (n - k);
    }
    expect(covered).toBeGreaterThanOrEqual(0.95);
    expect(shareOf(0, 0)).toMatchObject({ share: null, interval: [0, 1] });
  });
});

describe('exact over strata', () => {
  // McNemar's exact test is the binomial of the discordant pairs: Q. McNemar, Psychometrika 12 (1947), 153–157.
  test('pairs: ten discordant, one against nine', () => {
    const pair = (first: boolean, second: boolean): Table => [
      first ? [1, 0] : [0, 1],
      second ? [1, 0] : [0, 1],
    ];
    const pairs = [
      ...Array.from({ length: 9 }, () => pair(true, false)),
      pair(false, true),
      ...Array.from({ length: 5 }, () => pair(true, true)),
    ];
    expect(stratifiedExact(pairs)).toBeCloseTo((2 * 11) / 1024, 12);
  });

  // By hand: each table's first cell is hypergeometric, and the chances of their sum are found by convolution.
  test('more strata than are summed one by one: the normal tail lies near the exact chance', () => {
    const strata = Array.from({ length: 150 }, (_, i): Table => {
      const [a, b, c, d] = [3 + (i % 4), 3, 2 + (i % 3), 4 + (i % 2)];
      const [one, other] = [[a, b] as const, [c, d] as const];
      return i % 9 < 5 ? [one, other] : [other, one];
    });
    const steps = strata.reduce((sum, [[a, b], [c]]) => sum + Math.min(a + b, a + c), 0);
    expect(steps).toBeGreaterThan(600);
    const lnFactorial = (n: number): number => (n < 2 ? 0 : Math.log(n) + lnFactorial(n - 1));
    const lnChoose = (n: number, k: number) => lnFactorial(n) - lnFactorial(k) - lnFactorial(n - k);
    let [chances, seen] = [[1], 0];
    for (const [[a, b], [c, d]] of strata) {
      const [row, column, n] = [a + b, a + c, a + b + c + d];
      const next = Array.from({ length: chances.length + Math.min(row, column) }, () => 0);
      for (let k = Math.max(0, row + column - n); k <= Math.min(row, column); k++) {
        const chance = Math.exp(lnChoose(column, k) + lnChoose(n - column, row - k) - lnChoose(n, row));
        for (const [sum, before] of chances.entries()) next[sum + k]! += before * chance;
      }
      chances = next;
      seen += a;
    }
    // A normal tail is doubled; so is the exact one that it stands for.
    const above = chances.slice(seen).reduce((sum, chance) => sum + chance, 0);
    const exact = 2 * above;
    expect(exact).toBeGreaterThan(0.01);
    expect(exact).toBeLessThan(0.2);
    expect(Math.abs(stratifiedExact(strata) / exact - 1)).toBeLessThan(0.01);
  });

  test('one stratum is Fisher’s tea', () => {
    const tea: Table = [
      [3, 1],
      [1, 3],
    ];
    expect(stratifiedExact([tea])).toBeCloseTo(34 / 70, 12);
  });
});

// Y. Benjamini and Y. Hochberg, J. R. Stat. Soc. B 57 (1995), their example of fifteen hypotheses, from memory:
// at 0.05 the four smallest are rejected.
test('Benjamini and Hochberg’s fifteen', () => {
  const chances = [
    0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.324, 0.4262, 0.5719, 0.6528,
    0.759, 1,
  ];
  const adjusted = benjaminiHochberg(chances);
  expect(adjusted.filter((q) => q <= 0.05)).toHaveLength(4);
  expect(adjusted[0]).toBeCloseTo(0.0015, 9);
  expect(adjusted[3]).toBeCloseTo((0.0095 * 15) / 4, 9);
  expect(benjaminiHochberg([...chances].reverse())).toEqual([...adjusted].reverse());
});
