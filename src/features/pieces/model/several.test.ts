import type { PieceChange } from '@/records/pieces';
import { forChanges, noteChanges, reversed } from './several';

const pieces = [
  { id: 'a', orderId: 'six cups', groupId: null },
  { id: 'b', orderId: null, groupId: 'monday' },
];

test('pieces that are for it already are left out, and each goes back to what it was for', () => {
  const ordered = forChanges(pieces, 'order', 'six cups');
  expect(ordered).toEqual([{ id: 'b', order: { from: null, to: 'six cups' } }]);
  const nobodys = forChanges(pieces, 'group', null);
  expect(nobodys).toEqual([{ id: 'b', group: { from: 'monday', to: null } }]);
  expect(reversed(nobodys)).toMatchObject([{ id: 'b', group: { from: null, to: 'monday' } }]);
});

test('every kind of change goes back', () => {
  const turn = { from: 'one', to: 'other' };
  const all: Required<PieceChange> = {
    ...{ id: 'a', note: turn, maker: turn, order: turn, group: turn, set: turn },
  };
  const { id, ...back } = reversed([all])[0]!;
  expect(id).toBe('a');
  for (const [kind, one] of Object.entries(back))
    expect([kind, one]).toEqual([kind, { from: 'other', to: 'one' }]);
  expect(Object.keys(back).sort()).toEqual(
    Object.keys(all)
      .filter((key) => key !== 'id')
      .sort(),
  );
});

test('a note goes under what stands there', () => {
  const notes = noteChanges(
    [
      { id: 'a', note: '' },
      { id: 'b', note: 'thin' },
    ],
    ' by the door ',
  );
  expect(notes.map(({ note }) => note!.to)).toEqual(['by the door', 'thin\nby the door']);
});
