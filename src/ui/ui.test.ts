import { readFileSync } from 'node:fs';
import { METRIC } from '@/core/units';
import { FORMS, formShape } from '@/core/vocabulary';
import { readPlain } from './kit/NumberField';
import { readIn } from './kit/QuantityField';
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
  ['4 1/2', 4.5],
  ['', null],
])('%j is read as a person means it', (text, value) =>
  expect(readPlain(text)).toEqual({ value, error: null }),
);

test('a field for a quantity takes other units than its own, and says what it understood', () => {
  const us = { temperature: '°F', length: 'in', mass: 'lb', volume: 'gal' } as const;
  const inches = readIn('length', us);
  expect(inches('4 1/2')).toEqual({ value: 4.5, error: null });
  expect(inches('11,43 cm')).toEqual({ value: expect.closeTo(4.5, 9), error: null, note: '= 4.50 in' });
  expect(readIn('length', METRIC)('4 1/2"')).toEqual({
    value: expect.closeTo(11.43, 9),
    error: null,
    note: '= 11.4 cm',
  });
  expect(readIn('rate', METRIC)('180 F/h')).toMatchObject({ value: 100, note: '= 100 °C/h' });
  expect(readIn('thickness', us)('2 mm').value).toBeCloseTo(2 / 25.4, 9);
  expect(readIn('temperatureStep', us)('10 C').value).toBeCloseTo(18, 9);
  expect(inches('1,200').error).toMatch(/thousands/);
  expect(inches('5 kg').error).toBe('“kg” is a weight, not a length.');
});

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
