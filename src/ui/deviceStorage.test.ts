import { dropFromDevice, keepOnDevice, readFromDevice, storageFailure, type Slot } from './deviceStorage';

let kept: Map<string, string>;
let isFull: boolean;
beforeEach(() => {
  [kept, isFull] = [new Map(), false];
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      removeItem: (key: string) => kept.delete(key),
      setItem: (key: string, value: string) => {
        if (isFull) throw new DOMException('full', 'QuotaExceededError');
        kept.set(key, value);
      },
    },
  });
});

const slot = (owner: string, version = 1): Slot => ({ owner, key: 'jiten.piece.new', version });

test('a draft is its owner’s: another member on the same device neither sees nor loses it', () => {
  keepOnDevice(slot('ines'), { note: 'mine' });
  expect(readFromDevice(slot('wren'))).toBeNull();
  keepOnDevice(slot('wren'), { note: 'theirs' });
  dropFromDevice(slot('wren'));
  expect(readFromDevice(slot('ines'))).toEqual({ note: 'mine' });
});

test('a draft of another shape is not read', () => {
  keepOnDevice(slot('ines', 1), { coats: [] });
  expect(readFromDevice(slot('ines', 2))).toBeNull();
});

test('what the release before kept without an owner goes to who opens it first, once', () => {
  kept.set('jiten.piece.new', JSON.stringify({ note: 'typed before the update' }));
  expect(readFromDevice(slot('ines'))).toEqual({ note: 'typed before the update' });
  expect(readFromDevice(slot('wren'))).toBeNull();
  expect(readFromDevice(slot('ines'))).toEqual({ note: 'typed before the update' });
});

test('a full store and a broken value do not throw; the first is told', () => {
  const told = jest.fn();
  storageFailure.subscribe(told);
  isFull = true;
  expect(keepOnDevice(slot('ines'), 'x')).toBe(false);
  expect([told.mock.calls.length, storageFailure.get()]).toEqual([1, true]);
  kept.set('jiten/ines/jiten.piece.new', '{');
  expect(readFromDevice(slot('ines'))).toBeNull();
});
