import { METRIC } from '@/core/units';
import type { StudioChange } from '@/records/changes';
import { changeRuns, pageOf } from './changeRuns';

const photo = (name: string, memberId = 'M'): StudioChange => ({
  ...{ id: name, at: new Date(), by: memberId, what: 'photo', rowId: `row ${name}`, memberId, name },
  ...{ before: null, after: { hash: 'x' }, isUndoable: false },
});

test('a run of the same deed by one person is one line; what can be put back, or says more, stays alone', () => {
  const note = { ...photo('SW-0009'), what: 'glaze', before: { advice: '' }, after: { advice: 'Stir.' } };
  const runs = changeRuns(
    [photo('SW-0003'), photo('SW-0003'), photo('SW-0002'), photo('SW-0001', 'N'), note, note],
    METRIC,
  );
  expect(runs.map(({ deed, of, count }) => [deed, of.map(({ name }) => name), count])).toEqual([
    ['added 3 photos', ['SW-0003', 'SW-0002'], 3],
    ['added photo', ['SW-0001'], 1],
    ['changed glaze', ['SW-0009'], 1],
    ['changed glaze', ['SW-0009'], 1],
  ]);
  const isUndoable = true;
  expect(changeRuns([photo('A'), { ...photo('B'), isUndoable }, photo('C')], METRIC)).toHaveLength(3);
});

test('what has a page is led to', () => {
  const of = (what: string, name: string | null = 'SW-0001') => pageOf({ what, rowId: 'R', name });
  expect([of('coats'), of('photo', null), of('body'), of('kiln'), of('setting')]).toEqual([
    '/pieces/SW-0001',
    null,
    '/clays/R',
    '/kilns/R',
    null,
  ]);
});
