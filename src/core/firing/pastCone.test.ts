import { pastConeWarnings, type HeatedPiece } from '.';

const piece = (n: number, more: Partial<HeatedPiece> = {}): HeatedPiece => ({
  ...{ id: `p${n}`, label: `SW-000${n}`, clay: 'Cutting Red', clayTo: '6' },
  glazes: [{ name: 'Kettle Blue', hottest: '6' }],
  ...more,
});

test('a clay past its range and a glaze hotter than ever are said once, with their pieces', () => {
  const said = (cone: string, ...pieces: HeatedPiece[]) =>
    pastConeWarnings(pieces, cone).map(({ words }) => words);
  expect(said('10', piece(1), piece(2, { clayTo: '10' }))).toEqual([
    'Cone 10 is past Cutting Red, which goes to cone 6: SW-0001.',
    'Kettle Blue was never fired hotter than cone 6 here: SW-0001, SW-0002.',
  ]);
  // A cone more is past the clay, and not yet much hotter for the glaze; colder, or not known, is nothing.
  expect(said('7', piece(1))).toEqual(['Cone 7 is past Cutting Red, which goes to cone 6: SW-0001.']);
  expect(said('6', piece(1))).toEqual([]);
  expect(said('018', piece(1))).toEqual([]);
  expect(said('10', piece(1, { clayTo: null, glazes: [{ name: 'New', hottest: null }] }))).toEqual([]);
});
