import { inOrderOf, rowsWith } from './tableRows';

const rows = [
  { key: 'a', values: ['SW-10', 6, 'Sleeper'] },
  { key: 'b', values: ['SW-9', null, 'Limewash over Sleeper'] },
  { key: 'c', values: ['SW-100', 5.5, 'Ballast'] },
] as const;
const keys = (list: readonly { readonly key: string }[]) => list.map(({ key }) => key).join('');

test('numbers are ordered by size, words as people order them, and what is missing comes last either way', () => {
  expect(keys(inOrderOf(rows, { column: 0, direction: 'asc' }))).toBe('bac');
  expect(keys(inOrderOf(rows, { column: 1, direction: 'asc' }))).toBe('cab');
  expect(keys(inOrderOf(rows, { column: 1, direction: 'desc' }))).toBe('acb');
});

test('a filter keeps rows that say every word, in any column', () => {
  expect(keys(rowsWith(rows, 'sleeper'))).toBe('ab');
  expect(keys(rowsWith(rows, ' sw-9  SLEEPER '))).toBe('b');
  expect(keys(rowsWith(rows, ''))).toBe('abc');
});
