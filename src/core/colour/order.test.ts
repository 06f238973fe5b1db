import { colourRank } from './order';

test('colours stand in a row as an eye sorts them: greys from white to black, then around from red to violet', () => {
  const row = [
    '#ffffff',
    '#9a9a9a',
    '#111111',
    '#c0392b',
    '#d9822b',
    '#d6c02a',
    '#4f9a4f',
    '#2f8f9a',
    '#2c4fa0',
    '#7a3f9a',
  ];
  const shuffled = [6, 2, 9, 0, 4, 7, 1, 8, 3, 5].map((i) => row[i]!);
  expect(shuffled.toSorted((one, other) => colourRank(one) - colourRank(other))).toEqual(row);
});
