import { readTime, timeOf, timesOf } from './photoTime';

test('a photo was taken before or after a firing that its piece was in; after one that is still shut it cannot be', () => {
  const firing = (firingId: string, number: number, state: string, kind = 'glaze') => ({
    ...{ firingId, number, state, kind },
    kiln: 'Number Two',
  });
  const choices = timesOf([firing('B', 3, 'closed', 'bisque'), firing('G', 4, 'firing')]);
  expect(choices).toEqual([
    ['before.', 'before any firing'],
    ['before.B', 'before Number Two 3, bisque'],
    ['after.B', 'after Number Two 3, bisque'],
    ['before.G', 'before Number Two 4'],
  ]);
  for (const [key] of choices) expect(timeOf(readTime(key))).toBe(key);
  expect(timeOf({ stage: null, firingId: 'G' })).toBe('after.G');
  expect(timeOf({ stage: null, firingId: null })).toBe('before.');
});
