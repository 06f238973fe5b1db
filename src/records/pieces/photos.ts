import { type JoinedRow, type Maybe, rowsOf } from '@/records/platform/joins';
import { insertRow } from '@/records/platform/write';
import type { ZoneCountRow } from '@/records/platform/tables';
import { type Mapping, json, readRow } from '@/records/platform/mapping';
import sharp from 'sharp';
import {
  cutOut,
  guessFrame,
  measureZone,
  uprightCrop,
  WHOLE,
  withGains,
  zoneBox,
  type Frame,
  type Gains,
  type Pixels,
  type Point,
} from '@/core/photo';
import { recordChange } from '@/records/platform/changes';
import { fromJson, inTransaction, type Db } from '@/records/platform/db';
import { refreshEntries } from '@/records/dictionary/entries';
import { NotFound, Refusal } from '@/records/platform/errors';
import type { Store } from '@/records/platform/store';

/** The longest side a photo is kept at, px; enough to count pits on a 10 cm tile. */
const LONGEST = 2400;

/** Widths that pictures are served at. */
export const PICTURE_WIDTHS = [96, 320, 720] as const;

/** A swatch on the wall, px. */
const SWATCH = { width: 160, height: 120 };

/** What a person set on a photo: where the piece stands, what corrects its colours, what was drawn on it. */
export interface PhotoSettings {
  readonly frame: Frame;
  readonly gains: Gains | null;
  /** Lines drawn to point at something, fractions of the picture. */
  readonly strokes: readonly (readonly Point[])[];
}

export interface StoredPhoto extends PhotoSettings {
  readonly id: string;
  readonly hash: string;
  readonly width: number;
  readonly height: number;
  readonly firingId: string | null;
  readonly at: Date;
}

/** A photo as it is shown small: where the piece stands in it lets a zone be pointed at. */
export type ShownPhoto = Pick<StoredPhoto, 'hash' | 'width' | 'height' | 'frame'>;

/** What {@link shownPhoto} reads of a photo joined as "ph". */
export const SHOWN_PHOTO = [
  'ph.hash as photo_hash',
  'ph.width as photo_width',
  'ph.height as photo_height',
  'ph.frame as photo_frame',
] as const;

/** The photo of a joined row; null where there is none. */
export function shownPhoto(
  row: JoinedRow<{ ph: Maybe<'photo'> }, (typeof SHOWN_PHOTO)[number]>,
): ShownPhoto | null {
  if (!row.photo_hash) return null;
  return {
    hash: row.photo_hash,
    width: row.photo_width!,
    height: row.photo_height!,
    frame: fromJson<Frame>(row.photo_frame),
  };
}

/**
 * Adds a photo to a piece. The picture is decoded and encoded again, turned upright, with its metadata and
 * location dropped. A frame is guessed unless set; the piece's zones of that firing get their swatch and
 * measured colour from it.
 *
 * @throws Refusal when the bytes are no picture that can be read
 */
export async function addPhoto(
  base: Db,
  store: Store,
  memberId: string,
  photo: {
    id: string;
    pieceId: string;
    firingId: string | null;
    bytes: Buffer;
    settings?: Partial<PhotoSettings>;
  },
): Promise<StoredPhoto> {
  const upright = await decode(photo.bytes);
  const { width, height } = upright.info;
  const settings: PhotoSettings = {
    frame: photo.settings?.frame ?? guessFrame(await shrunk(upright, 480)),
    gains: photo.settings?.gains ?? null,
    strokes: photo.settings?.strokes ?? [],
  };
  const [hash, cut] = await Promise.all([
    encode(upright, { quality: 88 }).then((bytes) => store.put(bytes)),
    photo.firingId ? cutSwatches(base, store, photo.pieceId, photo.firingId, upright, settings) : [],
  ]);
  await inTransaction(base, async (trx) => {
    if (await trx('photo').where({ id: photo.id }).first('id')) return;
    if (!(await trx('piece').where({ id: photo.pieceId }).first('id'))) throw new NotFound('This piece');
    await trx('photo').insert({
      id: photo.id,
      piece_id: photo.pieceId,
      firing_id: photo.firingId,
      hash,
      width,
      height,
      ...settingColumns(settings),
      member_id: memberId,
      at: new Date(),
    });
    await trx('piece').where({ id: photo.pieceId }).update({ photo_id: photo.id });
    await putSwatches(trx, cut);
    await recordChange(trx, memberId, 'photo', photo.id, null, { piece: photo.pieceId, hash });
  });
  return { id: photo.id, hash, width, height, ...settings, firingId: photo.firingId, at: new Date() };
}

function settingColumns({ frame, gains, strokes }: PhotoSettings) {
  return {
    frame: JSON.stringify(frame),
    gains: gains && JSON.stringify(gains),
    strokes: JSON.stringify(strokes),
  };
}

/** Gives zones the swatches cut for them, and sums up the entries they prove. */
async function putSwatches(trx: Db, cut: Awaited<ReturnType<typeof cutSwatches>>): Promise<void> {
  for (const { zoneId, ...swatch } of cut) await trx('zone').where({ id: zoneId }).update(swatch);
  await refreshEntries(trx, [...new Set(cut.length ? await entriesOf(trx, cut) : [])]);
}

/**
 * Sets a stored photo again: its zones are cut and measured again.
 *
 * @throws NotFound when the photo is not stored
 */
export async function setPhoto(
  base: Db,
  store: Store,
  memberId: string,
  { id, ...settings }: PhotoSettings & { readonly id: string },
): Promise<void> {
  const row = await base('photo').where({ id }).first('hash', 'piece_id', 'firing_id', 'frame');
  const bytes = row && (await store.get(row.hash));
  if (!bytes) throw new NotFound('This photo');
  const cut = row.firing_id
    ? await cutSwatches(base, store, row.piece_id, row.firing_id, await decode(bytes), settings)
    : [];
  await inTransaction(base, async (trx) => {
    await trx('photo').where({ id }).update(settingColumns(settings));
    await putSwatches(trx, cut);
    await recordChange(trx, memberId, 'photo', id, fromJson(row.frame), settings.frame);
  });
}

/** Holes or cracks counted on the zone of a photo, looked over by a person. */
export interface ZoneCount {
  readonly id: string;
  readonly zoneId: string;
  readonly photoId: string;
  readonly kind: 'pits' | 'cracks';
  /** Pits by cm², or mm of crack by cm². */
  readonly perCm2: number;
  readonly areaCm2: number;
  /** Where each was, fractions of the upright piece. */
  readonly marks: readonly Point[];
}

const COUNT: Mapping<ZoneCount, ZoneCountRow> = {
  id: 'id',
  zoneId: 'zone_id',
  photoId: 'photo_id',
  kind: 'kind',
  perCm2: 'per_cm2',
  areaCm2: 'area_cm2',
  marks: json<readonly Point[]>()('marks'),
};

/** Saves a count in place of the one before it on the same zone. */
export async function saveCount(base: Db, memberId: string, count: ZoneCount): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (await trx('zone_count').where({ id: count.id }).first('id')) return;
    const zone = await trx('zone').where({ id: count.zoneId }).forUpdate().first('id');
    const photo = await trx('photo').where({ id: count.photoId }).first('id');
    if (!zone || !photo) throw new NotFound(zone ? 'This photo' : 'This zone');
    await trx('zone_count')
      .where({ zone_id: count.zoneId, kind: count.kind, ended_at: null })
      .update({ ended_at: new Date() });
    await insertRow(trx, memberId, 'zone_count', COUNT, count, { member_id: memberId, at: new Date() });
  });
}

/** The live counts of zones. */
export async function countsOf(base: Db, zoneIds: readonly string[]): Promise<ZoneCount[]> {
  const rows = await base('zone_count').whereIn('zone_id', zoneIds).whereNull('ended_at').select('*');
  return rows.map((row) => readRow(COUNT, row));
}

/**
 * Stores a picture that belongs to no piece, decoded and encoded again like any other.
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

/** What cameras and scanners write; drawings with scripts or links in them are no photos. */
const FORMATS: readonly (string | undefined)[] = ['jpeg', 'png', 'webp', 'heif', 'tiff'];

/** Turned upright, no larger than is kept. */
async function decode(bytes: Buffer): Promise<Plain> {
  try {
    const picture = sharp(bytes, { limitInputPixels: 100_000_000 });
    if (!FORMATS.includes((await picture.metadata()).format)) throw new Error('not a photo');
    return await picture
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
  plain: Plain,
  { frame, gains }: Pick<PhotoSettings, 'frame' | 'gains'>,
) {
  const zones = await rowsOf<{ z: 'zone' }>()(
    base('zone as z')
      .where({ 'z.piece_id': pieceId, 'z.firing_id': firingId, 'z.ended_at': null })
      .whereNot('z.side', 'inside'),
    'z.id',
    'z.side',
    'z.from',
    'z.to',
  );
  if (zones.length === 0) return [];
  const crop = uprightCrop({ data: plain.data, ...plain.info }, frame);
  const right = gains ? withGains(crop, gains) : crop;
  return Promise.all(
    zones.map(async (zone) => {
      const box = zoneBox(right, WHOLE, { side: zone.side, from: zone.from, to: zone.to });
      const patch = { data: Buffer.from(cutOut(right, box).data), info: box };
      const swatch = await open(patch)
        .resize(SWATCH.width, SWATCH.height, { fit: 'cover' })
        .webp({ quality: 80, effort: 2 })
        .toBuffer();
      const { colour, palette } = measureZone(await shrunk(patch, 64, 64));
      return {
        zoneId: zone.id,
        swatch_hash: await store.put(swatch),
        colour,
        palette: JSON.stringify(palette.map(({ hex, share }) => ({ hex, share }))),
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
    gains: row.gains ? fromJson<Gains>(row.gains) : null,
    strokes: row.strokes ? fromJson<Point[][]>(row.strokes) : [],
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

/** The same as JPEG, which documents take; null when there is none. */
export async function jpegAt(
  store: Store,
  hash: string,
  width: (typeof PICTURE_WIDTHS)[number],
): Promise<Buffer | null> {
  const picture = await pictureAt(store, hash, width);
  return picture && sharp(picture).jpeg({ quality: 82 }).toBuffer();
}
