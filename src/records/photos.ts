import sharp from 'sharp';
import { guessFrame, measureZone, zoneBox, type Frame, type Pixels } from '@/core/photo';
import { noteChange } from './changes';
import { fromJson, inTransaction, type Db } from './db';
import { refreshEntries } from './entries';
import { NotThere, Refusal } from './faults';
import type { Store } from './store';

/** The longest side a photo is kept at, px; enough to count pits on a 10 cm tile. */
const LONGEST = 2400;

/** Widths that pictures are served at. */
export const PICTURE_WIDTHS = [96, 320, 720] as const;

/** A swatch on the wall, px. */
const SWATCH = { width: 160, height: 120 };

export interface StoredPhoto {
  readonly id: string;
  readonly hash: string;
  readonly width: number;
  readonly height: number;
  readonly frame: Frame;
  readonly firingId: string | null;
  readonly at: Date;
}

/**
 * Adds a photo to a piece. The picture is decoded and encoded anew, turned upright, with its metadata and
 * location dropped. A frame is guessed unless given; the piece's zones of that firing get their swatch and
 * measured colour from it.
 *
 * @throws Refusal when the bytes are no picture that can be read
 */
export async function addPhoto(
  base: Db,
  store: Store,
  memberId: string,
  photo: { id: string; pieceId: string; firingId: string | null; bytes: Buffer; frame?: Frame },
): Promise<StoredPhoto> {
  const upright = await decode(photo.bytes);
  const { width, height } = upright.info;
  const frame = photo.frame ?? guessFrame(await shrunk(upright, 480));
  const [hash, cut] = await Promise.all([
    encode(upright, { quality: 88 }).then((bytes) => store.put(bytes)),
    photo.firingId ? cutSwatches(base, store, photo.pieceId, photo.firingId, upright, frame) : [],
  ]);
  await inTransaction(base, async (trx) => {
    if (await trx('photo').where({ id: photo.id }).first('id')) return;
    if (!(await trx('piece').where({ id: photo.pieceId }).first('id'))) throw new NotThere('This piece');
    await trx('photo').insert({
      id: photo.id,
      piece_id: photo.pieceId,
      firing_id: photo.firingId,
      hash,
      width,
      height,
      frame: JSON.stringify(frame),
      member_id: memberId,
      at: new Date(),
    });
    await trx('piece').where({ id: photo.pieceId }).update({ photo_id: photo.id });
    for (const { zoneId, ...swatch } of cut) await trx('zone').where({ id: zoneId }).update(swatch);
    await refreshEntries(trx, [...new Set(cut.length ? await entriesOf(trx, cut) : [])]);
    await noteChange(trx, memberId, 'photo', photo.id, null, { piece: photo.pieceId, hash });
  });
  return { id: photo.id, hash, width, height, frame, firingId: photo.firingId, at: new Date() };
}

/**
 * Stores a picture that belongs to no piece, decoded and encoded anew like any other.
 *
 * @returns its content hash
 * @throws Refusal when the bytes are no picture that can be read
 */
export async function storePicture(store: Store, bytes: Buffer): Promise<string> {
  return store.put(await encode(await decode(bytes), { quality: 84 }));
}

async function entriesOf(trx: Db, cut: readonly { zoneId: string }[]): Promise<string[]> {
  const rows: { entry_id: string }[] = await trx('zone')
    .whereIn(
      'id',
      cut.map((zone) => zone.zoneId),
    )
    .select('entry_id');
  return rows.map((row) => row.entry_id);
}

/** A decoded picture: plain pixels, three channels. */
interface Plain {
  readonly data: Buffer;
  readonly info: { readonly width: number; readonly height: number };
}

/** Turned upright, no larger than is kept. */
async function decode(bytes: Buffer): Promise<Plain> {
  try {
    return await sharp(bytes, { limitInputPixels: 100_000_000 })
      .rotate()
      .resize(LONGEST, LONGEST, { fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb')
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
  } catch {
    throw new Refusal(
      'photo',
      'This file is not a picture that can be read (JPEG, PNG, WebP, AVIF or TIFF).',
    );
  }
}

function open({ data, info: { width, height } }: Plain) {
  return sharp(data, { raw: { width, height, channels: 3 } });
}

function encode(plain: Plain, options: { quality: number }): Promise<Buffer> {
  return open(plain)
    .webp({ ...options, effort: 2 })
    .toBuffer();
}

async function shrunk(plain: Plain, width: number, height?: number): Promise<Pixels> {
  const { data, info } = await open(plain)
    .resize(width, height, height ? { fit: 'fill' } : { withoutEnlargement: true })
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

async function cutSwatches(
  base: Db,
  store: Store,
  pieceId: string,
  firingId: string,
  upright: Plain,
  frame: Frame,
) {
  const zones = await base('zone as z')
    .join('piece as p', 'p.id', 'z.piece_id')
    .where({ 'z.piece_id': pieceId, 'z.firing_id': firingId, 'z.ended_at': null })
    .whereNot('z.side', 'inside')
    .select('z.id', 'z.side', 'z.low', 'z.high', 'p.split');
  return Promise.all(
    zones.map(async (zone) => {
      const box = zoneBox(upright.info, frame, { side: zone.side, from: zone.low, to: zone.high });
      const patch = { data: await open(upright).extract(box).raw().toBuffer(), info: box };
      const swatch = await open(patch)
        .resize(SWATCH.width, SWATCH.height, { fit: 'cover' })
        .webp({ quality: 80, effort: 2 })
        .toBuffer();
      return {
        zoneId: zone.id as string,
        swatch_hash: await store.put(swatch),
        colour: measureZone(await shrunk(patch, 40, 40)).colour,
      };
    }),
  );
}

/** The live photos of pieces, newest first. */
export async function photosOf(
  base: Db,
  pieceIds: readonly string[],
): Promise<(StoredPhoto & { pieceId: string })[]> {
  const rows = await base('photo').whereIn('piece_id', pieceIds).whereNull('ended_at').orderBy('at', 'desc');
  return rows.map((row) => ({
    id: row.id,
    pieceId: row.piece_id,
    hash: row.hash,
    width: row.width,
    height: row.height,
    frame: fromJson<Frame>(row.frame),
    firingId: row.firing_id,
    at: row.at,
  }));
}

/** A stored picture at one of the served widths, made at first asking; null when there is none. */
export async function pictureAt(
  store: Store,
  hash: string,
  width: (typeof PICTURE_WIDTHS)[number] | null,
): Promise<Buffer | null> {
  if (width === null) return store.get(hash);
  const made = await store.getBeside(hash, String(width));
  if (made) return made;
  const full = await store.get(hash);
  if (!full) return null;
  const small = await sharp(full)
    .resize(width, null, { withoutEnlargement: true })
    .webp({ quality: 80, effort: 2 })
    .toBuffer();
  await store.putBeside(hash, String(width), small);
  return small;
}
