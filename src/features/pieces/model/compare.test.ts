import { explained, type ComparedRow } from './zones';

const row = (name: string, done: boolean, ...values: string[]): ComparedRow => ({ name, done, values });
const COLOUR = 'Colour, difference from the first';

test('one thing done differently explains what came out differently, as far as was noted', () => {
  const rows = [
    row('Glazes', true, 'A', 'A'),
    row('Ground', true, 'Buffer White', 'Cutting Red'),
    row('Firing', true, 'Number Two 4', 'Number Two 4'),
    row('Defects', false, 'none', 'pinholing'),
    row(COLOUR, false, '0.0', '9.1'),
  ];
  expect(explained(rows)).toBe(
    'Only one thing was done differently, the ground: as far as was noted, it explains the difference (defects, colour).',
  );
});

test('another firing is one thing, whatever differs with it', () => {
  const rows = [
    row('Firing', true, 'Number Two 4', 'The Stoker 9'),
    row('Cone', true, '6', '10'),
    row('Atmosphere', true, 'oxidation', 'reduction'),
    row('Shelf', true, '1', '3'),
    row('Surface', false, 'gloss', 'matte'),
  ];
  expect(explained(rows)).toContain('Only one thing was done differently, the firing');
  expect(explained([...rows, row('Ground', true, 'a', 'b')])).toContain('so the cause of the difference');
});

test('other glazes are one thing, with their recipes and seconds', () => {
  const rows = [
    row('Glazes', true, 'A once', 'B once'),
    row('Recipe versions', true, 'a', 'b'),
    row('Seconds', true, '3 s', '5 s'),
    row('Movement', false, 'stable', 'runs'),
  ];
  expect(explained(rows)).toContain('Only one thing was done differently, the glazes');
  expect(explained(rows.slice(1))).toContain('recipe versions, seconds');
});

test('the shelf is varied on purpose and counts only when asked for; what nobody noted is no difference', () => {
  const rows = [
    row('Shelf', true, '1', '3'),
    row('Seconds', true, 'not noted', '3 s'),
    row('Cone reached', true, 'not known', '6.0'),
    row('Surface', false, 'gloss', 'matte'),
    row('Movement', false, 'not noted', 'stable'),
  ];
  expect(explained(rows)).toContain('No difference in how they were made was noted');
  expect(explained(rows)).toContain('yet these differ: surface.');
  expect(explained(rows, { countsShelf: true })).toContain('Only one thing was done differently, the shelf');
});

test('a colour that is hardly another is none; nothing differing is said', () => {
  const alike = [row('Ground', true, 'a', 'a'), row(COLOUR, false, '0.0', '2.4')];
  expect(explained(alike)).toContain('came out alike, and nothing');
  expect(explained([...alike, row('Surface', false, 'gloss', 'matte')])).toContain('nobody noted');
  expect(explained([row('Ground', true, 'a')])).toBe('');
});
