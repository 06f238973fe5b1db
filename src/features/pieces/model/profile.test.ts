import { formShape, halfWidthOf } from '@/core/vocabulary';
import { atFullWidth, movedPoint, thinnedProfile, withoutPoint, withPoint } from './profile';

const { profile } = formShape('vase');

test('a point is moved between its neighbours; foot and rim keep their heights', () => {
  expect(movedPoint(profile, 0, [0.5, 0.4])[0]).toEqual([0, 0.4]);
  const [low, , high] = movedPoint(profile, 1, [0.9, 2]);
  expect([low![0] < high![0], movedPoint(profile, 1, [0.9, 2])[1]![1]]).toEqual([true, 1]);
  expect(movedPoint(profile, 1, [0.9, 0.5])[1]![0]).toBeLessThan(profile[2]![0]);
});

test('a point is added on the curve, once, and taken off but for the ends', () => {
  const more = withPoint(profile, 0.4);
  expect(more).toHaveLength(profile.length + 1);
  expect(more.find(([height]) => height === 0.4)![1]).toBeCloseTo(halfWidthOf(profile)(0.4), 12);
  expect([withPoint(more, 0.4), withPoint(profile, 0), withPoint(profile, 1.2)]).toEqual([
    more,
    profile,
    profile,
  ]);
  expect(withoutPoint(profile, 0)).toBe(profile);
  expect(withoutPoint(profile, 2)).toHaveLength(profile.length - 1);
});

test('a thinned silhouette keeps its ends and has room for a finger between its points', () => {
  const thin = thinnedProfile(profile, 0.1);
  expect([thin[0], thin.at(-1)]).toEqual([profile[0], profile.at(-1)]);
  thin.slice(1).forEach(([height], i) => expect(height - thin[i]![0]).toBeGreaterThanOrEqual(0.1));
  expect(
    Math.max(...atFullWidth(thin.map(([height, half]) => [height, half / 2])).map(([, half]) => half)),
  ).toBe(1);
});
