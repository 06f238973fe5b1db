import { readFileSync } from 'node:fs';
import { FORMS, formShape } from '@/core/vocabulary';
import { parseNumber } from './kit/NumberField';
import { bandPath, drawnWidth, halfOf } from './Silhouette';
import { isOpen } from './frame/tabs';
import { theme } from './theme';

/** The points of a straight-lined path. */
function points(path: string): [number, number][] {
  return [...path.matchAll(/([-\d.]+) ([-\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);
}

test('a band of a tile is a box to scale, the foot at the bottom', () => {
  const band = points(bandPath('tile', 60, 'whole', 0.25, 0.75));
  expect(Math.min(...band.map(([, y]) => y))).toBe(25);
  expect(Math.max(...band.map(([, y]) => y))).toBe(75);
  expect(new Set(band.map(([x]) => x))).toEqual(new Set([0, 60]));
});

test('the halves of a form share its middle and stay within it', () => {
  for (const form of FORMS.filter((one) => !formShape(one).plan)) {
    const width = 80;
    for (const [half, least, most] of [
      ['left', 0, 40],
      ['right', 40, 80],
    ] as const) {
      const xs = points(bandPath(form, width, half, 0, 1)).map(([x]) => x);
      expect(Math.min(...xs)).toBeGreaterThanOrEqual(least);
      expect(Math.max(...xs)).toBeLessThanOrEqual(most);
    }
  }
});

test('inside is drawn to the left and outside to the right when a piece has both', () => {
  expect(halfOf('outside', ['outside'])).toBe('whole');
  expect([halfOf('inside', ['outside', 'inside']), halfOf('outside', ['outside', 'inside'])]).toEqual([
    'left',
    'right',
  ]);
  expect([halfOf('left', ['left', 'right']), halfOf('right', ['left', 'right'])]).toEqual(['left', 'right']);
  expect(drawnWidth({ form: 'tile', heightMm: 100, widthMm: 60 })).toBe(60);
  expect(drawnWidth({ form: 'plate', heightMm: 220, widthMm: 220 })).toBe(100);
});

test.each([
  ['3,5', 3.5],
  [' 12.25 ', 12.25],
  ['1 200', 1200],
  ['', null],
  ['abc', NaN],
])('%j is read as a person means it', (text, value) => expect(parseNumber(text)).toBe(value));

test('an entry belongs to the wall’s tab, and Today only to itself', () => {
  expect(isOpen('/wall', '/entry/x')).toBe(true);
  expect(isOpen('/', '/')).toBe(true);
  expect(isOpen('/', '/wall')).toBe(false);
  expect(isOpen('/kilns', '/firings/1/opening')).toBe(true);
});

test('the style sheets break where the theme breaks', () => {
  const media = [...readFileSync('src/ui/breakpoints.css', 'utf8').matchAll(/--(\w+) (\(.*\))/g)];
  const [phone, narrow] = (['md', 'lg'] as const).map((key) => theme.breakpoints.down(key));
  const plain = (query: string) => query.replace('@media ', '').replaceAll(' ', '');
  expect(media.map(([, name, query]) => [name, plain(query!)])).toEqual([
    ['phone', plain(phone!)],
    ['narrow', plain(narrow!)],
  ]);
});
