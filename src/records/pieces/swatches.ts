import { covers, type WrittenArea } from '@/core/coats';
import {
  areaPatch,
  besideGlare,
  closePatch,
  guessView,
  measureZone,
  uprightCrop,
  withGains,
  zonePatch,
  type Pixels,
} from '@/core/photo';
import type { View } from '@/core/vocabulary';
import { fromJson, type Db } from '@/records/platform/db';
import { rowsOf } from '@/records/platform/joins';
import type { Store } from '@/records/platform/store';
import type { PieceRow, ZoneRow } from '@/records/platform/tables';
import type { PhotoSettings } from './photoSettings';
import { open, shrunk, type Plain } from './pictures';

/** A swatch on the wall, px. */
const SWATCH = { width: 160, height: 120 };

/** The rules by which colours are measured: 2 since a zone keeps the colours it has and not their mean. */
export const MEASURING_RULES = 2;

/** What is measured of a zone in a photo; null where no photo shows it. */
export interface Swatch {
  readonly zoneId: string;
  readonly photo_id: string | null;
  readonly swatch_hash: string | null;
  readonly colour: string | null;
  readonly palette: string | null;
}

/** A photo with the piece and the firing that it is of. */
export interface PhotoPlace {
  readonly id: string;
  readonly pieceId: string;
  readonly firingId: string;
}

type SeenZone = Pick<ZoneRow, 'id' | 'area' | 'side' | 'from' | 'to'> & Pick<PieceRow, 'form' | 'areas'>;

/**
 * The patch of a zone in a photo. An area is seen in a photo of its own, and in one of its side where somebody drew it;
 * one that a coat cuts is not told apart.
 *
 * @param of the area that the photo was taken of
 */
function patchOf(crop: Pixels, zone: SeenZone, view: View, of: string | null): Pixels | null {
  const isWhole = zone.from === 0 && zone.to === 1;
  const areas = fromJson<readonly WrittenArea[]>(zone.areas);
  if (zone.area === null) {
    if (view === 'area') return null;
    const drawn = areas.flatMap(({ side, outline }) =>
      outline && side !== null && covers(side, zone.side) ? [outline] : [],
    );
    return zonePatch(crop, zone, view, zone.form, drawn);
  }
  if (!isWhole) return null;
  if (view === 'area') return zone.area === of ? closePatch(crop) : null;
  const area = areas.find(({ name }) => name === zone.area);
  if (!area?.outline || area.side === null) return null;
  return areaPatch(crop, { side: area.side, outline: area.outline }, view, zone.form);
}

/** Cuts the swatches of all zones of a piece that a photo shows, and measures their colours. */
export async function cutSwatches(
  base: Db,
  store: Store,
  { id: photoId, pieceId, firingId }: PhotoPlace,
  plain: Plain,
  {
    frame,
    gains,
    view: said,
    area,
    stage,
  }: Pick<PhotoSettings, 'frame' | 'gains' | 'view' | 'area' | 'stage'>,
): Promise<Swatch[]> {
  if (stage === 'before') return [];
  const zones = await rowsOf<{ z: 'zone'; p: 'piece' }>()(
    base('zone as z')
      .join('piece as p', 'p.id', 'z.piece_id')
      .where({ 'z.piece_id': pieceId, 'z.firing_id': firingId, 'z.ended_at': null }),
    'p.form',
    'p.areas',
    'z.area',
    'z.id',
    'z.side',
    'z.from',
    'z.to',
  );
  const view = said ?? (zones[0] && guessView(zones[0].form));
  if (!view || zones.length === 0) return [];
  const crop = uprightCrop({ data: plain.data, ...plain.info }, frame);
  const right = gains ? withGains(crop, gains) : crop;
  const patches = zones.flatMap((zone) => {
    const patch = patchOf(right, zone, view, area);
    return patch ? [{ id: zone.id, patch }] : [];
  });
  return Promise.all(
    patches.map(async ({ id, patch }): Promise<Swatch> => {
      // In a small cell a streak of light reads as a scratch.
      const swatch = await open(plainOf(besideGlare(patch)))
        .resize(SWATCH.width, SWATCH.height, { fit: 'cover' })
        .webp({ quality: 80, effort: 2 })
        .toBuffer();
      const { colour, palette } = measureZone(await shrunk(plainOf(patch), 64, 64));
      return {
        zoneId: id,
        photo_id: photoId,
        swatch_hash: await store.put(swatch),
        colour,
        palette: JSON.stringify(palette.map(({ hex, share }) => ({ hex, share }))),
      };
    }),
  );
}

const plainOf = ({ data, ...info }: Pixels) => ({ data: Buffer.from(data), info });
