'use client';
import type { DragEndEvent } from '@dnd-kit/core';
import { useState } from 'react';
import type { Kiln, ShelfPiece, ShelfSpot } from '@/records/firings';
import { useMutation } from '@/ui/useMutation';
import { loadFiring, placeOnShelves, setPosts, unloadFiring, want } from '../actions';
import { fillShelf, placeOn, shelfOf, spreadOver } from '../model/loadLayout';

interface Options {
  readonly firingId: string;
  readonly kiln: Kiln;
  readonly loaded: readonly ShelfPiece[];
  readonly waiting: readonly ShelfPiece[];
}

/** What changes on a piece that stands in the kiln; dx and dy in mm. */
interface Shift {
  readonly shelf?: number;
  readonly cookie?: boolean;
  readonly dx?: number;
  readonly dy?: number;
}

/** Putting pieces into a kiln, moving them there and taking them out. */
export function useLoad({ firingId, kiln, loaded, waiting }: Options) {
  const { run, isBusy, errors } = useMutation();
  const [said, setSaid] = useState('');
  const board = shelfOf(kiln);
  const keep = async (places: readonly ShelfSpot[], left: readonly ShelfPiece[] = []) => {
    const inside = new Set(loaded.map(({ id }) => id));
    const [moved, added] = [
      places.filter(({ pieceId }) => inside.has(pieceId)),
      places.filter(({ pieceId }) => !inside.has(pieceId)),
    ];
    setSaid('');
    const isDone =
      (moved.length === 0 || (await run(() => placeOnShelves({ firingId, places: moved }))) === null) &&
      (added.length === 0 || (await run(() => loadFiring({ firingId, places: added }))) === null);
    if (left.length) setSaid(`No room for ${left.map(({ label }) => label).join(', ')}.`);
    else if (isDone && added.length) setSaid(`${added.length} put in.`);
    return isDone;
  };
  const dropped = ({ active, over }: DragEndEvent) => {
    const group = active.data.current?.ids as readonly string[] | undefined;
    if (group && over) {
      const pieces = waiting.filter(({ id }) => group.includes(id));
      void toShelf(pieces, Number(over.id));
      return;
    }
    const piece = [...loaded, ...waiting].find(({ id }) => id === active.id);
    const box = active.rect.current.translated;
    if (!piece || !over || !box) return;
    const near = {
      x: ((box.left + box.width / 2 - over.rect.left) / over.rect.width) * board.widthMm,
      y: ((box.top + box.height / 2 - over.rect.top) / over.rect.height) * board.depthMm,
    };
    const found = placeOn(piece, Number(over.id), loaded, board, { near });
    void keep(found ? [found] : [], found ? [] : [piece]);
  };
  const change = (piece: ShelfPiece, part: Shift) => {
    const near = { x: (piece.spot?.x ?? 0) + (part.dx ?? 0), y: (piece.spot?.y ?? 0) + (part.dy ?? 0) };
    const found = placeOn(piece, part.shelf ?? piece.shelf ?? 1, loaded, board, {
      cookie: part.cookie ?? piece.cookie,
      ...(part.shelf === undefined && { near }),
    });
    void keep(found ? [found] : [], found ? [] : [piece]);
  };
  const spread = (pieces: readonly ShelfPiece[]) => {
    const laid = spreadOver(
      pieces,
      kiln,
      loaded.filter(({ spot }) => spot !== null),
      seeded(firingId),
    );
    return keep(laid.places, laid.left);
  };
  const toShelf = (pieces: readonly ShelfPiece[], shelf: number) => {
    const laid = fillShelf(pieces, shelf, loaded, board);
    return keep(laid.places, laid.left);
  };
  const takeOut = (piece: ShelfPiece) => void run(() => unloadFiring({ firingId, pieceId: piece.id }));
  const setPostsOf = (shelf: number, postMm: number | null) =>
    void run(() => setPosts({ firingId, shelf, postMm }));
  const setDue = async (pieces: readonly ShelfPiece[], dueOn: string | null) =>
    (await run(() => want({ pieceIds: pieces.map(({ id }) => id), dueOn }))) === null;
  return { said, isBusy, errors, board, dropped, change, spread, toShelf, takeOut, setPostsOf, setDue };
}

/** Numbers from 0 to 1 that follow from a word, so that a load is spread the same way again. */
function seeded(word: string): () => number {
  let state = [...word].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) >>> 0, 7);
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}
