import { CONES } from '../vocabulary';
import { coneIndex, coneNear, hitTarget, readCone, sideOfTarget } from './names';
import { coolingOf } from './programme';

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

test('a cone is read as potters write it', () => {
  expect(['6', 'cone 6', 'Cone6', 'c6', '^6', 'Δ6', '06', '^06', '05 1/2', 'Δ5,5'].map(readCone)).toEqual([
    6, 6, 6, 6, 6, 6, -5, -5, -4.5, 5.5,
  ]);
  expect(['cone', '^', 'cone 23', '6 F', 'c', '6 or 7'].map(readCone)).toEqual(Array(6).fill(null));
});

test('a firing proves its cone within half a cone; one whose cones were not read is taken at its word', () => {
  expect([5.5, 6, 6.5].map((cone) => hitTarget('6', cone))).toEqual([true, true, true]);
  expect([5, 7].map((cone) => hitTarget('6', cone))).toEqual([false, false]);
  expect(hitTarget('6', null)).toBe(true);
  expect(hitTarget('05½', -5)).toBe(true);
});

test('a firing is under its cone or over it beyond half a cone, and nothing is said of one not read', () => {
  expect([5, 5.4, 5.5, 6.5, 6.6].map((cone) => sideOfTarget('6', cone))).toEqual([
    'under',
    'under',
    'at',
    'at',
    'over',
  ]);
  expect([sideOfTarget('6', null), sideOfTarget('six', 6)]).toEqual([null, null]);
  // Cones with a nought are the other way round: 04 is hotter than 06.
  expect([sideOfTarget('04', -5), sideOfTarget('06', -3)]).toEqual(['under', 'over']);
});

test.each([
  [null, []],
  [
    'free',
    [
      [1100, 0],
      [1205, 15],
    ],
  ],
  // A hold a little below the top belongs to it.
  [
    'free',
    [
      [1205, 5],
      [1180, 30],
    ],
  ],
  [
    'slowed',
    [
      [1205, 15],
      [1000, 0],
    ],
  ],
  [
    'held',
    [
      [1200, 10],
      [1100, 30],
    ],
  ],
  [
    'held',
    [
      [1200, 10],
      [1000, 0],
      [760, 60],
    ],
  ],
  // Up again to the same top: what counts comes after the last time.
  [
    'free',
    [
      [1200, 0],
      [1000, 60],
      [1200, 10],
    ],
  ],
] as const)('a programme that cools %s', (cooling, steps) => {
  expect(coolingOf(steps.map(([target, hold]) => ({ target, hold })))).toBe(cooling);
});

test('the nearest cone to an index, whole ones first', () => {
  expect([5.9, 5.6, 5.25, -4.4, 99].map(coneNear)).toEqual(['6', '5½', '5', '05½', '14']);
});
