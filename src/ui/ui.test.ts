import { readFileSync } from 'node:fs';
import { METRIC } from '@/core/units';
import { readPlain } from './kit/NumberField';
import { readIn } from './kit/QuantityField';
import { isOpen } from './frame/tabs';
import { theme, themeSheet } from './theme';

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

test('theme.css is what the theme says: npm run theme writes it', () => {
  expect(readFileSync('src/ui/theme.css', 'utf8')).toBe(themeSheet());
  expect(themeSheet()).toContain('--mui-palette-primary-main: #21409a;');
});
