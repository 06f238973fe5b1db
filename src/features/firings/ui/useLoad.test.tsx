/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import type { Kiln, ShelfPiece } from '@/records/firings';
import { loadFiring, placeOnShelves } from '../actions';
import { useLoad } from './useLoad';

jest.mock('../actions', () => ({
  ...{ loadFiring: jest.fn(), placeOnShelves: jest.fn(), setPosts: jest.fn() },
  ...{ unloadFiring: jest.fn(), want: jest.fn() },
}));
const putIn = jest.mocked(loadFiring);
const move = jest.mocked(placeOnShelves);
const DONE = { ok: true, value: null } as const;
const REFUSED = {
  ok: false,
  code: 'refused',
  errors: [{ field: '', message: 'This kiln is firing.' }],
} as const;

const kiln = {
  ...{ id: 'K', name: 'Number Two', heat: 'electric', litres: 190, shelves: 2, controller: '', version: 1 },
  ...{ openBelow: 50, mostCelsius: 1300, shelfWidthMm: 200, shelfDepthMm: 200, roundShelves: false },
} satisfies Kiln;
/** A tile of 60 mm; it stands where it is told, or waits. */
const piece = (n: number, widthMm = 60, shelf: number | null = null) =>
  ({
    ...{
      id: `P${n}`,
      label: `SW-000${n}`,
      form: 'cup',
      widthMm,
      heightMm: 90,
      cookie: false,
      runsFrom: null,
    },
    ...{ shelf, spot: shelf === null ? null : { x: 50, y: 50 }, twins: `${n}` },
  }) as unknown as ShelfPiece;

function open(waiting: readonly ShelfPiece[], loaded: readonly ShelfPiece[] = []) {
  return renderHook(() => useLoad({ firingId: 'F', kiln, loaded, waiting })).result;
}
const put = (load: ReturnType<typeof open>, pieces: readonly ShelfPiece[]) =>
  act(() => load.current.toShelf(pieces, 1));

beforeEach(() => jest.resetAllMocks());

test('what was put in is said once the server has it, and not when it refused', async () => {
  const pieces = [piece(1), piece(2)];
  const load = open(pieces);
  putIn.mockResolvedValueOnce(REFUSED);
  expect(await put(load, pieces)).toBe(false);
  expect(load.current.said).toBe('');
  expect(load.current.errors[0]!.message).toBe('This kiln is firing.');
  putIn.mockResolvedValueOnce(DONE);
  expect(await put(load, pieces)).toBe(true);
  expect(load.current.said).toBe('2 put in.');
  expect(load.current.errors).toEqual([]);
  const [first, second] = putIn.mock.calls[1]![0].places;
  expect(Math.hypot(first!.x! - second!.x!, first!.y! - second!.y!)).toBeGreaterThanOrEqual(60);
});

test('what finds no room is named, and the rest goes in', async () => {
  const pieces = [piece(1, 180), piece(2, 180)];
  const load = open(pieces);
  putIn.mockResolvedValueOnce(DONE);
  await put(load, pieces);
  expect(putIn.mock.calls[0]![0].places.map(({ pieceId }) => pieceId)).toEqual(['P1']);
  expect(load.current.said).toBe('No room for SW-0002.');
});

test('a piece that stands there is moved, not put in again; a dead network is said', async () => {
  const [inside, outside] = [piece(1, 60, 1), piece(2)];
  const load = open([outside], [inside]);
  move.mockRejectedValueOnce(new TypeError('Failed to fetch'));
  expect(await put(load, [inside, outside])).toBe(false);
  // Nothing further is sent, so that what went wrong stays to be read.
  expect(putIn).not.toHaveBeenCalled();
  expect(load.current.errors[0]!.message).toContain('did not answer');
  move.mockResolvedValueOnce(DONE);
  putIn.mockResolvedValueOnce(DONE);
  await put(load, [inside, outside]);
  expect(move.mock.calls[1]![0].places.map(({ pieceId }) => pieceId)).toEqual(['P1']);
  expect(putIn.mock.calls[0]![0].places.map(({ pieceId }) => pieceId)).toEqual(['P2']);
  expect(load.current.said).toBe('1 put in.');
});
