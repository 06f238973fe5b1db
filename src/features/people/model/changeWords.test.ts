import { changedFields, deedWords, kindWords } from './changeWords';

test('a change is said field by field, from what to what, without what means nothing to people', () => {
  const before = { advice: '', decorative: 0, version: 2, ended_at: null, shelf_width_mm: 400 };
  const after = { advice: 'Stir well.', decorative: 1, version: 3, ended_at: null, shelf_width_mm: 420 };
  expect(changedFields({ before, after })).toEqual([
    { field: 'advice', from: 'nothing', to: 'Stir well.' },
    { field: 'decorative', from: '0', to: '1' },
    { field: 'shelf width', from: '400', to: '420' },
  ]);
});

test('what is new says what it is; long texts, lists and days are short', () => {
  const after = {
    note: 'x'.repeat(100),
    coats: [1, 2],
    due_on: '2026-12-04T00:00:00.000Z',
    kilnId: 'K',
    iron: null,
  };
  expect(changedFields({ before: null, after })).toEqual([
    { field: 'note', from: null, to: `${'x'.repeat(80)}…` },
    { field: 'coats', from: null, to: '2 lines' },
    { field: 'due', from: null, to: '2026-12-04' },
  ]);
});

test.each([
  [null, { name: 'a' }, 'added'],
  [{ name: 'a' }, { name: 'b' }, 'changed'],
  [{ ended: false }, { ended: true }, 'ended'],
  [{ ended: true }, { ended: false }, 'put back'],
  [{ pieceId: 'p' }, null, 'took out'],
])('%j to %j was %s', (before, after, deed) => {
  expect(deedWords({ before, after })).toBe(deed);
});

test('kinds have the names people use', () => {
  expect(['body', 'kiln_part', 'glaze'].map(kindWords)).toEqual(['clay', 'kiln part', 'glaze']);
});
