import type { Agreement } from '@/core/evidence';
import { fromJson, type Db } from './db';
import { firingById, type Firing } from './firings';
import { photosOf } from './photos';
import { piecesById, zonesWith, type FiredZone, type PieceRow } from './piecePages';
import { readingsOf } from './readings';

/** A zone at an opening, with what the dictionary expects of it. */
export interface OpeningZone extends FiredZone {
  readonly expected: Agreement | null;
  readonly expectedSwatch: string | null;
  readonly expectedColour: string | null;
}

export interface OpeningPiece extends PieceRow {
  readonly shelf: number;
  readonly place: number;
  readonly state: 'loaded' | 'read' | 'missing' | 'broken';
  readonly zones: readonly OpeningZone[];
  readonly firingPhotoHash: string | null;
}

/** A firing with its pieces in the order they come out: top shelf first, then by place. */
export async function openingOf(
  base: Db,
  firingId: string,
): Promise<{ firing: Firing; pieces: OpeningPiece[] }> {
  const firing = await firingById(base, firingId);
  const load: { piece_id: string; shelf: number; place: number; state: OpeningPiece['state'] }[] = await base(
    'firing_piece',
  )
    .where({ firing_id: firingId })
    .orderBy([{ column: 'shelf', order: 'desc' }, { column: 'place' }])
    .select('piece_id', 'shelf', 'place', 'state');
  const ids = load.map((row) => row.piece_id);
  const pieces = new Map((await piecesById(base, ids)).map((piece) => [piece.id, piece]));
  const readings = await readingsOf(base, ids);
  const zones = await zonesWith(base, { 'z.firing_id': firingId });
  const photos = (await photosOf(base, ids)).filter((photo) => photo.firingId === firingId);
  return {
    firing,
    pieces: load.map(({ piece_id, shelf, place, state }) => ({
      ...pieces.get(piece_id)!,
      shelf,
      place,
      state,
      firingPhotoHash: photos.find((photo) => photo.pieceId === piece_id)?.hash ?? null,
      zones: zones
        .filter((zone) => zone.pieceId === piece_id)
        .map(({ summary, entrySwatch, entryColour, ...zone }) => ({
          ...zone,
          readings: readings.filter((reading) => reading.zoneId === zone.id && !reading.ended),
          expected: summary ? fromJson<Agreement>(summary) : null,
          expectedSwatch: entrySwatch,
          expectedColour: entryColour,
        })),
    })),
  };
}
