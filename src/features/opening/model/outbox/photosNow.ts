import type { OpeningPiece } from '@/records/openings';
import type { PhotoSettings } from '@/records/pieces';
import type { OutboxItem } from './deviceStore';

/** A photo of a piece as this device knows it: stored (hash) or still on its way (blob). */
export interface PhotoNow extends PhotoSettings {
  readonly id: string;
  readonly hash: string | null;
  readonly blob: Blob | null;
}

/** The photos of a piece: those on the server, then those on their way, each with what was set last. */
export function photosNow(piece: OpeningPiece, waiting: readonly OutboxItem[]): PhotoNow[] {
  const own = waiting.filter(({ pieceId }) => pieceId === piece.id);
  const stored = piece.photos.map(({ id, hash, frame, gains, strokes, labels, view, area, stage }) => ({
    id,
    hash,
    blob: null,
    frame,
    gains,
    strokes,
    labels,
    view,
    area,
    stage,
  }));
  const moving = own.flatMap(({ id, write }) =>
    write.kind === 'photo' && !stored.some((photo) => photo.id === id)
      ? [{ id, hash: null, blob: write.blob, ...write.settings }]
      : [],
  );
  return [...stored, ...moving].map((photo) => {
    const set = own.flatMap(({ write }) =>
      write.kind === 'frame' && write.photo.id === photo.id ? [write.photo] : [],
    );
    return { ...photo, ...set.at(-1) };
  });
}
