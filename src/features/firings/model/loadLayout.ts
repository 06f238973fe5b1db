import { footprintOf, freeSpot, type Shelf, type Spot, type Standing } from '@/core/firing';
import { spreadTwins } from '@/core/rounds';
import type { Kiln, ShelfSpot, ShelfPiece } from '@/records/firings';

/** A kiln's shelf as the core knows it. */
export function shelfOf({ shelfWidthMm, shelfDepthMm, roundShelves }: Kiln): Shelf {
  return { widthMm: shelfWidthMm, depthMm: shelfDepthMm, round: roundShelves };
}

/** What stands on a shelf, one piece left out. */
export function standingOn(pieces: readonly ShelfPiece[], shelf: number, but?: string): Standing[] {
  return pieces.flatMap((piece) =>
    piece.shelf === shelf && piece.spot && piece.id !== but
      ? [{ ...footprintOf(piece.form, piece.widthMm, piece.cookie), ...piece.spot }]
      : [],
  );
}

/** A piece's place on a shelf, as near as there is room to where it was dropped; null when it does not fit. */
export function placeOn(
  piece: ShelfPiece,
  shelf: number,
  loaded: readonly ShelfPiece[],
  board: Shelf,
  { near, cookie = piece.cookie }: { near?: Spot; cookie?: boolean } = {},
): ShelfSpot | null {
  const foot = footprintOf(piece.form, piece.widthMm, cookie);
  const spot = freeSpot(foot, standingOn(loaded, shelf, piece.id), board, near);
  return spot && { pieceId: piece.id, shelf, x: Math.round(spot.x), y: Math.round(spot.y), cookie };
}

/** What came of placing many: their places, and those there was no room for. */
export interface Laid {
  readonly places: readonly ShelfSpot[];
  readonly left: readonly ShelfPiece[];
}

/** Places pieces one after another on one shelf. */
export function fillShelf(
  pieces: readonly ShelfPiece[],
  shelf: number,
  loaded: readonly ShelfPiece[],
  board: Shelf,
): Laid {
  return lay(
    pieces.map((piece) => ({ piece, shelf, cookie: piece.cookie })),
    loaded,
    board,
    1,
  );
}

/**
 * Spreads pieces over all shelves so that twins, shelf, and front and back do not hide one another; runny
 * ones low and on cookies.
 *
 * @param next a seeded source of numbers from 0 to 1
 */
export function spreadOver(
  pieces: readonly ShelfPiece[],
  kiln: Kiln,
  loaded: readonly ShelfPiece[],
  next: () => number,
): Laid {
  const board = shelfOf(kiln);
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const spread = spreadTwins(
    pieces.map(({ id, twins, runsFrom }) => ({ id, group: twins, runny: runsFrom !== null })),
    kiln.shelves,
    next,
  );
  return lay(
    spread.map(({ id, shelf, front, cookie }) => ({
      piece: byId.get(id)!,
      shelf,
      cookie,
      near: { x: board.widthMm / 2, y: board.depthMm * (front ? 0.72 : 0.28) },
    })),
    loaded,
    board,
    kiln.shelves,
  );
}

interface Wanted {
  readonly piece: ShelfPiece;
  readonly shelf: number;
  readonly cookie: boolean;
  readonly near?: Spot;
}

/** Lays pieces where they are wanted, or on the next shelf up that has room among so many. */
function lay(wanted: readonly Wanted[], loaded: readonly ShelfPiece[], board: Shelf, shelves: number): Laid {
  const places: ShelfSpot[] = [];
  const left: ShelfPiece[] = [];
  const standing = [...loaded];
  for (const { piece, shelf, cookie, near } of wanted) {
    const order =
      shelves === 1 ? [shelf] : Array.from({ length: shelves }, (_, i) => ((shelf - 1 + i) % shelves) + 1);
    const found = order.reduce<ShelfSpot | null>(
      (place, one) => place ?? placeOn(piece, one, standing, board, { cookie, ...(near && { near }) }),
      null,
    );
    if (!found) {
      left.push(piece);
      continue;
    }
    places.push(found);
    standing.push({ ...piece, shelf: found.shelf, spot: { x: found.x, y: found.y }, cookie });
  }
  return { places, left };
}
