import { orderStand } from '.';

const read = (fate: Parameters<typeof orderStand>[1][number]['fate']) =>
  ({ stage: 'read', fate, state: 'read' }) as const;

test('an order counts pieces by what was decided, and what is to be made beside them', () => {
  const pieces = [
    ...[read('first'), read('keep'), read('second'), read('refire'), read(null)],
    { stage: 'read', fate: 'keep', state: 'broken' } as const,
    { stage: 'loaded', fate: null, state: 'loaded' } as const,
    { stage: 'fired', fate: null, state: 'loaded' } as const,
  ];
  expect(orderStand(8, pieces)).toEqual({ good: 2, coming: 2, undecided: 2, lost: 2, toMake: 2 });
  expect(orderStand(1, pieces).toMake).toBe(0);
  expect(orderStand(3, [])).toEqual({ good: 0, coming: 0, undecided: 0, lost: 0, toMake: 3 });
});
