import { random } from '../../../demo/random';
import { colourIndex, deltaE00, labOf, nearestGroups } from '.';
import { leastDifference } from './nearest';

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
  for (const asked of some(40)) {
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
