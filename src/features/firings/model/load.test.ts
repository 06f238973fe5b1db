import { roomBetween } from '@/core/firing';
import type { Kiln, ShelfPiece } from '@/records/firings';
import { fillShelf, placeOn, shelfOf, spreadOver, standingOn } from './loadLayout';

const KILN = { shelves: 4, shelfWidthMm: 400, shelfDepthMm: 400, roundShelves: false } as Kiln;
const BOARD = shelfOf(KILN);

function piece(n: number, more: Partial<ShelfPiece> = {}): ShelfPiece {
  return {
    ...{ id: `p${n}`, label: `SW-${n}`, number: n, form: 'tile', widthMm: 60, heightMm: 100, cookie: false },
    ...{
      shelf: null,
      spot: null,
      runsFrom: null,
      chrome: false,
      tin: false,
      twins: 'a',
      round: null,
      dueOn: null,
    },
    ...more,
  } as ShelfPiece;
}

function seeded(): () => number {
  let state = 7;
  return () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647;
}

test('a piece is put where it was dropped, or as near as there is room', () => {
  const first = placeOn(piece(1), 2, [], BOARD, { near: { x: 200, y: 200 } })!;
  expect(first).toEqual({ pieceId: 'p1', shelf: 2, x: 200, y: 200, cookie: false });
  const there = piece(1, { shelf: 2, spot: { x: 200, y: 200 } });
  const second = placeOn(piece(2), 2, [there], BOARD, { near: { x: 200, y: 200 } })!;
  expect(Math.hypot(second.x - 200, second.y - 200)).toBeLessThan(80);
  // The other shelf is empty, and a piece is not in its own way.
  expect(placeOn(piece(2), 1, [there], BOARD, { near: { x: 200, y: 200 } })).toMatchObject({
    x: 200,
    y: 200,
  });
  expect(placeOn(there, 2, [there], BOARD, { near: { x: 201, y: 200 } })).toMatchObject({ x: 201 });
  expect(placeOn(piece(3, { form: 'plate', widthMm: 500 }), 1, [], BOARD)).toBeNull();
});

test('a full shelf says what it has no room for', () => {
  const bowls = Array.from({ length: 8 }, (_, i) => piece(i, { form: 'bowl', widthMm: 150 }));
  const { places, left } = fillShelf(bowls, 3, [], BOARD);
  expect(places).toHaveLength(4);
  expect(left.map(({ id }) => id)).toEqual(['p4', 'p5', 'p6', 'p7']);
  expect(new Set(places.map(({ shelf }) => shelf))).toEqual(new Set([3]));
});

test('twins are spread over the shelves, runny ones low and on cookies, none touching', () => {
  const tiles = Array.from({ length: 12 }, (_, i) => piece(i, { twins: String(i % 3) }));
  const runny = [20, 21].map((n) => piece(n, { twins: 'runny', runsFrom: 3 }));
  const { places, left } = spreadOver([...tiles, ...runny], KILN, [], seeded());
  expect(left).toEqual([]);
  for (const group of ['0', '1', '2']) {
    const shelves = tiles
      .filter(({ twins }) => twins === group)
      .map(({ id }) => places.find(({ pieceId }) => pieceId === id)!.shelf);
    expect(new Set(shelves).size).toBe(4);
  }
  for (const { id } of runny) {
    const place = places.find(({ pieceId }) => pieceId === id)!;
    expect(place.cookie).toBe(true);
    expect(place.shelf).toBeLessThanOrEqual(2);
  }
  const stood = places.map((place) => ({
    ...piece(0),
    id: place.pieceId,
    ...place,
    spot: { x: place.x, y: place.y },
  }));
  for (const shelf of [1, 2, 3, 4]) {
    const standing = standingOn(stood, shelf);
    for (const [i, a] of standing.entries())
      for (const b of standing.slice(i + 1)) expect(roomBetween(a, b)).toBeGreaterThanOrEqual(0);
  }
});

test('the same seed spreads a load the same way', () => {
  const tiles = Array.from({ length: 9 }, (_, i) => piece(i, { twins: String(i % 2) }));
  expect(spreadOver(tiles, KILN, [], seeded())).toEqual(spreadOver(tiles, KILN, [], seeded()));
});
