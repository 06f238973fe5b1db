import { BUILT_IN } from '@/core/chemistry';
import { recipeSchema, materialSchema } from '../schema';
import { textOf, understand, unfinished, withBlankEnd, type RecipeText } from './glazeDraft';

const row = (key: string, material: string, amount: string) => ({ key, material, amount });
const typed = (base: RecipeText['base'], additions: RecipeText['additions'] = []): RecipeText => ({
  base,
  additions,
  note: '',
});

test('half a recipe is calculated with as far as it goes, and every doubt stands at its line', () => {
  const { lines, errors, hints, whole } = understand(
    typed(
      [
        row('a', 'Silica', '30,5'),
        row('b', 'Whiting', ''),
        row('c', 'Moon dust', '5'),
        row('d', 'Kaolin', '1,000'),
        row('e', '', '7'),
        row('f', 'silica', '2'),
        row('g', '', ''),
      ],
      [row('h', 'Silica', '-1')],
    ),
    BUILT_IN,
  );
  expect(lines.map(({ material, amount }) => [material, amount])).toEqual([
    ['Silica', 30.5],
    ['Moon dust', 5],
    ['silica', 2],
  ]);
  expect(errors).toEqual({
    d: expect.stringMatching(/thousands/),
    e: 'Which material?',
    h: 'Cannot be negative.',
  });
  expect(hints).toEqual({
    b: 'How much?',
    c: expect.stringMatching(/Not in your materials list/),
    f: expect.stringMatching(/twice/),
  });
  expect(whole).toBeNull();
});

test('nothing to weigh and far too many lines are said of the whole', () => {
  expect(understand(typed([row('a', 'Silica', '0')]), BUILT_IN).whole).toMatch(/adds up to 0/);
  const many = Array.from({ length: 201 }, (_, i) => row(String(i), 'Silica', '1'));
  expect(understand(typed(many), BUILT_IN).whole).toMatch(/201 lines/);
  expect(understand(typed([row('a', '', '')]), BUILT_IN).whole).toBeNull();
});

test('a missing amount is no fault while typing, and is one when saving', () =>
  expect(unfinished(typed([row('a', 'Silica', ''), row('b', '', '')]))).toEqual({ a: 'How much?' }));

test('there is always one blank line at the end, and a filled one is never taken away', () => {
  const rows = [row('a', 'Silica', '1'), row('b', '', ''), row('c', '', '')];
  expect(withBlankEnd(rows).map((one) => one.key)).toEqual(['a', 'b']);
  expect(withBlankEnd([row('a', 'Silica', '')])).toHaveLength(2);
  expect(
    withBlankEnd([row('a', '', ''), row('b', '', '3')])
      .map((one) => one.key)
      .slice(0, 2),
  ).toEqual(['a', 'b']);
});

test('a recipe read back as text is the same recipe', () => {
  const lines = [
    { material: 'Silica', amount: 30.123 },
    { material: 'Tin oxide', amount: 4, addition: true },
  ];
  const again = understand(textOf(lines, 'v1'), BUILT_IN).lines;
  expect(again.map(({ material, amount, addition = false }) => ({ material, amount, addition }))).toEqual([
    { material: 'Silica', amount: 30.123, addition: false },
    { material: 'Tin oxide', amount: 4, addition: true },
  ]);
});

test('the border refuses what the screen would have refused', () => {
  const id = '01ARZ3NDEKTSV4RRFFQ69G5FAV';
  const recipe = (lines: unknown) => ({ id, glazeId: id, follows: id, wasWritten: false, lines, note: '' });
  const error = (lines: unknown) => recipeSchema.safeParse(recipe(lines)).error?.issues[0]?.message;
  expect(error([{ material: 'Silica', amount: 10 }])).toBeUndefined();
  expect(error([{ material: 'Silica', amount: -1 }])).toMatch(/negative/);
  expect(error([{ material: 'Tin oxide', amount: 4, addition: true }])).toMatch(/adds up to 0/);
  expect(error(Array.from({ length: 201 }, () => ({ material: 'Silica', amount: 1 })))).toMatch(/200/);
  const material = (analysis: object) =>
    materialSchema.safeParse({ id, name: 'Ash', analysis, loi: 0, density: null, source: '' }).error
      ?.issues[0]?.message;
  expect(material({ SiO2: 60, CaO: 40 })).toBeUndefined();
  expect(material({ SiO2: 80, CaO: 26 })).toMatch(/106 %, more than 105/);
  expect(material({ SiO2: 106 })).toMatch(/More than 105/);
  expect(material({ Xx2: 4 })).toMatch(/not a known oxide/);
  expect(material({})).toMatch(/at least one/);
});
