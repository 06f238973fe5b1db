import fc from 'fast-check';
import { chanceOf, watch, type Sample } from './watch';

/** Numbers in [0, 1) that are the same on every run. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48271) % 2147483647) / 2147483647;
}

const series = (counts: readonly (readonly [number, number])[]): Sample[] =>
  counts.map(([count, of], i) => ({
    id: `${i}`,
    words: `Number Two ${i + 1}`,
    count,
    of,
    firings: [`${i}`],
  }));

/** Samples of so many pieces, each piece with its own chance. */
function drawn(next: () => number, shares: readonly number[], of = 12): Sample[] {
  return series(
    shares.map((share) => [Array.from({ length: of }, next).filter((x) => x < share).length, of]),
  );
}

test('a step is found where it was made, with the shares before and after it', () => {
  const samples = series([
    [1, 12],
    [0, 10],
    [2, 14],
    [1, 12],
    [0, 11],
    [7, 12],
    [6, 10],
    [9, 14],
    [5, 9],
  ]);
  const { rise, usual, samples: charted } = watch(samples, seeded(5));
  expect(rise).toMatchObject({ at: 5, before: { count: 4, of: 59 }, after: { count: 27, of: 45 } });
  expect(rise!.chance).toBeLessThan(0.02);
  expect(usual.count).toBe(4);
  expect(charted.map(({ isOut }) => isOut)).toEqual([...Array(5).fill(false), ...Array(4).fill(true)]);
});

test('where nothing changed, rises are claimed no more often than stated, and not by samples that scatter', () => {
  const next = seeded(41);
  let [even, uneven] = [0, 0];
  for (let i = 0; i < 150; i++) {
    if (watch(drawn(next, Array(20).fill(0.15)), next).rise) even++;
    const scattered = Array.from({ length: 20 }, () => (next() < 0.3 ? 0.5 : 0.05));
    if (watch(drawn(next, scattered), next).rise) uneven++;
  }
  // One in fifty is stated; three standard deviations of a binomial of 150 above it is nine.
  expect(even).toBeLessThanOrEqual(9);
  expect(uneven).toBeLessThanOrEqual(9);
});

test('a rise that only one firing shows has no interval: it is not known to come again', () => {
  const samples = series([...Array<[number, number]>(120).fill([0, 12]), [9, 12]]);
  const { rise } = watch(samples, seeded(2));
  expect(rise).toMatchObject({ at: 120, after: { count: 9, of: 12, interval: null } });
  expect(rise!.before.interval).not.toBeNull();
  // Batches of one firing are one firing too.
  const batches = samples.map((one) => ({ ...one, firings: ['Number Two 1'] }));
  expect(watch(batches, seeded(2)).rise!.before.interval).toBeNull();
});

test('samples that scatter more than chance have wider limits', () => {
  const calm = watch(series(Array(12).fill([2, 20])), seeded(3));
  expect(calm.correlation).toBe(0);
  const scattered = watch(
    series([
      [0, 20],
      [7, 20],
      [0, 20],
      [0, 20],
      [6, 20],
      [0, 20],
      [5, 20],
      [0, 20],
    ]),
    seeded(3),
  );
  expect(scattered.correlation).toBeGreaterThan(0.1);
  expect(scattered.samples[0]!.limit!).toBeGreaterThan(calm.samples[0]!.limit!);
});

test('none of few is not never: the line after sound samples falls as they become more', () => {
  const limitAfter = (sound: number) => {
    const { rise, usual, samples } = watch(
      series([...Array(sound).fill([0, 8]), [5, 8], [6, 8], [4, 8], [7, 8]]),
      seeded(13),
    );
    expect([rise?.at, usual.count]).toEqual([sound, 0]);
    return samples[0]!.limit!;
  };
  // The tail of a beta-binomial of ½ and 8 n + ½, calculated by hand: two of eight, then one.
  expect(limitAfter(6)).toBe(2 / 8);
  expect(limitAfter(120)).toBe(1 / 8);
});

test('chances of a beta-binomial sum to one and keep its mean; without correlation it is the binomial', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 40 }),
      fc.double({ min: 0.01, max: 0.99, noNaN: true }),
      fc.double({ min: 0.001, max: 0.9, noNaN: true }),
      (of, share, correlation) => {
        const all = Array.from({ length: of + 1 }, (_, count) => chanceOf(count, of, share, correlation));
        expect(all.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 6);
        expect(all.reduce((sum, chance, count) => sum + chance * count, 0)).toBeCloseTo(of * share, 5);
      },
    ),
    { numRuns: 60 },
  );
  expect(chanceOf(3, 10, 0.2, 1e-7)).toBeCloseTo(chanceOf(3, 10, 0.2, 0), 5);
});

test('nothing, one sample, all sound and all spoiled give no rise and no NaN', () => {
  for (const counts of [
    [],
    [[0, 0]],
    [[0, 5]],
    [
      [0, 5],
      [0, 7],
      [0, 3],
    ],
    [
      [5, 5],
      [7, 7],
      [3, 3],
    ],
  ] as [number, number][][]) {
    const { rise, usual, samples } = watch(series(counts), seeded(9));
    expect(rise).toBeNull();
    expect(usual.share === null || Number.isFinite(usual.share)).toBe(true);
    expect(samples.every(({ isOut }) => !isOut)).toBe(true);
  }
});
