import { METRIC } from '@/core/units';
import { changedFields, deedWords } from './changeWords';

const ID = '01M8FPN5M4RHKA0JCM227QXT5W';

test('a change is said field by field, from what to what, without what means nothing to people', () => {
  const before = {
    name: 'Lantern',
    advice: '',
    decorative: 0,
    version: 2,
    ended_at: null,
    shelf_width_mm: 400,
  };
  const after = {
    ...before,
    name: 'Lamp',
    advice: 'Stir.',
    decorative: true,
    version: 3,
    shelf_width_mm: 420,
  };
  expect(changedFields({ before, after }, METRIC)).toEqual([
    { field: 'name', from: 'Lantern', to: 'Lamp' },
    { field: 'advice', from: 'nothing', to: 'Stir.' },
    { field: 'decorative', from: 'no', to: 'yes' },
    { field: 'shelf width', from: '400 mm', to: '420 mm' },
  ]);
});

test('a flag that stayed as it was is no change, and inches are said to who reads in inches', () => {
  const units = { ...METRIC, length: 'in' } as const;
  const change = { before: { coarse: 1, post_mm: 254 }, after: { coarse: true, post_mm: 508 } };
  expect(changedFields(change, units)).toEqual([{ field: 'post', from: '10 in', to: '20 in' }]);
});

test('what is new says what it is, not what it is not; long texts, lists and days are short', () => {
  const after = {
    ...{ label: 'KW-0001', note: 'x'.repeat(100), coats: [1, 2], due_on: '2026-12-04T00:00:00.000Z' },
    ...{ kilnId: 'K', iron: null, split: false, texture: {}, invited: ID, at: '2026-11-27T00:00:00.000Z' },
  };
  expect(changedFields({ before: null, after }, METRIC)).toEqual([
    { field: 'note', from: null, to: `${'x'.repeat(80)}…` },
    { field: 'coats', from: null, to: '2 lines' },
    { field: 'due', from: null, to: '4 Dec 2026' },
  ]);
});

test.each([
  ['body', null, { name: 'a' }, 'added clay'],
  ['kiln_part', { note: 'a' }, { note: 'b' }, 'changed kiln part'],
  ['member_group', { ended: false }, { ended: true }, 'ended group'],
  ['member_group', { ended: true }, { ended: false }, 'put back group'],
  ['load', { pieceId: 'p' }, null, 'took out load'],
  ['member', null, { name: 'Wren', role: 'student' }, 'joined'],
])('%s from %j to %j is said so', (what, before, after, words) => {
  expect(deedWords({ what, before, after, memberId: ID, rowId: ID })).toBe(words);
});
