import { random } from '../../../demo/random';
import { colourIndex, deltaE00, labOf, nearestGroups } from '.';
import { leastDifference } from './nearest';
import { huesOf, mostTurn } from './turn';

const next = random('nearest');
const some = (count: number) =>
  Array.from({ length: count }, () => ({
    l: 100 * next(),
    a: 120 * (next() - 0.5),
    b: 120 * (next() - 0.5),
    group: Math.floor(next() * 60),
  }));

test('the nearest groups are those of a search through everything', () => {
  const colours = some(3000);
  const index = colourIndex(colours);
  const allows = Uint8Array.from({ length: 60 }, (_, group) => Number(group % 3 > 0));
  const blues = some(15).map((one) => ({ ...one, a: Math.abs(one.a), b: -30 - Math.abs(one.b) }));
  for (const asked of [...some(25), ...blues]) {
    const brute = new Map<number, number>();
    for (const { group, ...lab } of colours) {
      if (!allows[group]) continue;
      const exact = { l: Math.fround(lab.l), a: Math.fround(lab.a), b: Math.fround(lab.b) };
      brute.set(group, Math.min(brute.get(group) ?? Infinity, deltaE00(asked, exact)));
    }
    const expected = [...brute]
      .filter(([, difference]) => difference <= 15)
      .sort(([, one], [, two]) => one - two)
      .slice(0, 8);
    expect(
      nearestGroups(index, asked, { most: 8, within: 15, allows }).map(({ group, difference }) => [
        group,
        difference,
      ]),
    ).toEqual(expected.map(([group, difference]) => [group, expect.closeTo(difference, 9)]));
  }
});

test('no two colours of two rectangles are turned further than their hues allow', () => {
  const turnOf = (one: readonly [number, number], two: readonly [number, number]) => {
    const [h1, h2] = [one, two].map(([a, b]) => (Math.atan2(b, a) * 180) / Math.PI) as [number, number];
    const apart = h2 - h1 - 360 * Math.round((h2 - h1) / 360);
    const off = h1 + apart / 2 - 275;
    return Math.sin((Math.PI / 3) * Math.exp(-(((off - 360 * Math.round(off / 360)) / 25) ** 2)));
  };
  let excess = -Infinity;
  for (let i = 0; i < 3000; i++) {
    const [one, corner] = [some(1)[0]!, some(1)[0]!];
    const far = { a: corner.a + 6 * next(), b: corner.b + 6 * next() };
    const inside = [corner.a + next() * (far.a - corner.a), corner.b + next() * (far.b - corner.b)] as const;
    const stretch = 1 + 0.5 * next();
    const bound = mostTurn(huesOf(one, one), huesOf(corner, far));
    excess = Math.max(excess, turnOf([one.a * stretch, one.b], [inside[0] * stretch, inside[1]]) - bound);
  }
  expect(excess).toBeLessThanOrEqual(1e-12);
  // Red against orange is hardly turned at all; blue against blue as far as can be.
  expect(mostTurn({ low: 10, high: 30 }, { low: 50, high: 70 })).toBeLessThan(1e-6);
  expect(mostTurn({ low: 270, high: 280 }, { low: -90, high: -80 })).toBeCloseTo(Math.sqrt(3) / 2, 12);
});

test('nothing in reach, and nothing at all', () => {
  const white = { ...labOf('#ffffff'), group: 0 };
  expect(nearestGroups(colourIndex([white]), labOf('#000000'), { most: 4, within: 20 })).toEqual([]);
  expect(nearestGroups(colourIndex([]), white, { most: 4, within: 20 })).toEqual([]);
  expect(nearestGroups(colourIndex([white]), white, { most: 4, within: 0 })).toEqual([
    { group: 0, difference: 0 },
  ]);
});

test('the bound is never above the difference, in the blues neither', () => {
  let excess = -Infinity;
  for (let i = 0; i < 4000; i++) {
    const [one, two] = [some(1)[0]!, some(1)[0]!];
    const near = { l: one.l, a: one.a + 8 * (next() - 0.5), b: -Math.abs(one.b) + 8 * (next() - 0.5) };
    for (const { l, a, b } of [two, near])
      excess = Math.max(excess, leastDifference(one.l, one.a, one.b, l, a, b) - deltaE00(one, { l, a, b }));
  }
  expect(excess).toBeLessThanOrEqual(0);
});
