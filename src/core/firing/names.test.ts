import { CONES, coneIndex, hitTarget } from '.';

test('the index rises along the series and lands on its fixed points', () => {
  const indices = CONES.map((cone) => coneIndex(cone)!);
  expect(indices).toEqual([...indices].sort((a, b) => a - b));
  expect(new Set(indices).size).toBe(CONES.length);
  expect(['6', '5½', '01', '02', '04', '022', '05½'].map(coneIndex)).toEqual([6, 5.5, 0, -1, -3, -21, -4.5]);
});

test('halves are understood as people write them, and what is no cone is null', () => {
  expect(['5.5', '5 1/2', ' 5½ '].map(coneIndex)).toEqual([5.5, 5.5, 5.5]);
  expect(['', '0', '15', '023', '6½', 'six', '-1'].map(coneIndex)).toEqual(Array(7).fill(null));
});

test('a firing proves its cone within half a cone; one whose cones were not read is taken at its word', () => {
  expect([5.5, 6, 6.5].map((cone) => hitTarget('6', cone))).toEqual([true, true, true]);
  expect([5, 7].map((cone) => hitTarget('6', cone))).toEqual([false, false]);
  expect(hitTarget('6', null)).toBe(true);
  expect(hitTarget('05½', -5)).toBe(true);
});
