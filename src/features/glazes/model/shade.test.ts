import type { TriaxialCell } from '@/core/recipe';
import { shadeOf } from './shade';

const cell = (more: Partial<TriaxialCell>): TriaxialCell => ({
  parts: [1, 0, 0],
  expansion: 7,
  silicaAlumina: 8,
  mapField: 'gloss',
  boron: 0.2,
  ...more,
});

test('cells are shaded from the least to the most, and one without a value is in the middle', () => {
  const cells = [6, 7, 8].map((expansion) => cell({ expansion }));
  const unknown = cell({ expansion: null });
  const { shade, of, words } = shadeOf([...cells, unknown], 'expansion');
  const shades = cells.map(shade);
  expect(shades).toEqual([...shades].sort((a, b) => a - b));
  expect(shades[1]! - shades[0]!).toBeCloseTo(shades[2]! - shades[1]!, 12);
  expect([shade(unknown), of(unknown), of(cells[0]!)]).toEqual([0.5, 'none', '6.00']);
  expect(words).toBe('Darkest 6.00, lightest 8.00.');
});

test('all alike, and none known, make one grey and no nonsense', () => {
  const alike = shadeOf([cell({}), cell({})], 'boron');
  expect(alike.shade(cell({}))).toBe(0.5);
  const none = shadeOf([cell({ silicaAlumina: null })], 'silica to alumina');
  expect([none.words, none.shade(cell({ silicaAlumina: null }))]).toEqual(['', 0.5]);
});

test('each field of the map has a grey of its own, and no formula is darkest', () => {
  const fields = (['matte', 'satin', 'gloss', 'crazed', 'stiff', 'outside', null] as const).map((mapField) =>
    cell({ mapField }),
  );
  const { shade, of } = shadeOf(fields, 'map field');
  const shades = fields.map(shade);
  expect(new Set(shades).size).toBe(fields.length);
  expect(Math.min(...shades)).toBe(shades.at(-1));
  expect(shades.every((grey) => grey >= 0 && grey <= 1)).toBe(true);
  expect(of(fields.at(-1)!)).toBe('no formula');
});
