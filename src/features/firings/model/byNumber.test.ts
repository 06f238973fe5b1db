import { chosenBy } from './byNumber';

const waiting = ['SW-0011', 'SW-0012', 'SW-0014', 'RW-0012', 'SW-0140'].map((label) => ({
  id: label,
  label,
}));

test.each([
  ['12', ['SW-0012', 'RW-0012'], [], []],
  ['SW-0012', ['SW-0012'], [], []],
  ['11-14', ['SW-0011', 'SW-0012', 'SW-0014', 'RW-0012'], [], []],
  ['sw11 to sw13', ['SW-0011', 'SW-0012'], [], []],
  ['14 – 11, 140', ['SW-0011', 'SW-0012', 'SW-0014', 'RW-0012', 'SW-0140'], [], []],
  ['13 14', ['SW-0014'], ['13'], []],
  ['20-30; twelve', [], ['20-30'], ['twelve']],
  ['', [], [], []],
])('%j chooses by number', (text, ids, missing, wrong) => {
  const chosen = chosenBy(text, waiting);
  expect([...chosen.ids].sort()).toEqual([...ids].sort());
  expect(chosen).toMatchObject({ missing, wrong });
});
