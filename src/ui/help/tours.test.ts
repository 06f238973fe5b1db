import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ownTourOf, tourOf } from './tours';

const pages = readdirSync(join(process.cwd(), 'src/app/(app)/(studio)'), {
  recursive: true,
  encoding: 'utf8',
})
  .filter((file) => file.endsWith('page.tsx'))
  .map((file) => `/${file.replace(/\/?page\.tsx$/, '').replace(/\[\w+\]/g, 'X')}`);

test.each([
  ['/', 'Today'],
  ['/pieces/new', 'New piece'],
  ['/pieces/sheet', 'Sheet of pieces'],
  ['/pieces/SW-0100', 'Pieces'],
  ['/kilns/queue', 'Queue'],
  ['/kilns', 'Kilns'],
  ['/firings/X/opening', 'A firing'],
  ['/entry/X', 'An entry'],
])('at %s stands the tour of %s', (path, title) => {
  expect(tourOf(path).title).toBe(title);
});

test('each tour is of a screen that is there, and takes no more than two minutes', () => {
  const tours = new Set(pages.map(tourOf));
  expect(tours.size).toBe(17);
  for (const { title, steps } of tours) {
    const words = steps.join(' ').split(/\s+/).length;
    expect([title, words < 2 * 120 && steps.length <= 6]).toEqual([title, true]);
  }
});

test('a page without a tour of its own gives no hint', () => {
  expect(ownTourOf('/')?.title).toBe('Today');
  expect(ownTourOf('/pieces/new')?.title).toBe('New piece');
  expect(ownTourOf('/account')).toBeNull();
});
