import sharp from 'sharp';
import type { Pixels } from '@/core/photo';
import { Refusal } from '@/records/platform/errors';
import type { Store } from '@/records/platform/store';

/** The longest side a photo is kept at, px; enough to count pits on a 10 cm tile. */
const LONGEST = 2400;

/** Widths that pictures are served at. */
export const PICTURE_WIDTHS = [96, 320, 720] as const;

/** A decoded picture: plain pixels, three channels. */
export interface Plain {
  readonly data: Buffer;
  readonly info: { readonly width: number; readonly height: number };
}

/** What cameras and scanners write; drawings with scripts or links in them are no photos. */
const FORMATS: readonly (string | undefined)[] = ['jpeg', 'png', 'webp', 'heif', 'tiff'];

/** A picture turned upright, no larger than is kept. @throws Refusal when the bytes are no picture that can be read */
export async function decode(bytes: Buffer): Promise<Plain> {
  try {
    const picture = sharp(bytes, { limitInputPixels: 100_000_000 });
    if (!FORMATS.includes((await picture.metadata()).format)) throw new Error('not a photo');
    // What is transparent lies on white paper.
    return await picture
      .rotate()
      .flatten({ background: '#ffffff' })
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

export function open({ data, info: { width, height } }: Plain) {
  return sharp(data, { raw: { width, height, channels: 3 } });
}

export function encode(plain: Plain, options: { quality: number }): Promise<Buffer> {
  return open(plain)
    .webp({ ...options, effort: 2 })
    .toBuffer();
}

export async function shrunk(plain: Plain, width: number, height?: number): Promise<Pixels> {
  const { data, info } = await open(plain)
    .resize(width, height, height ? { fit: 'fill' } : { withoutEnlargement: true })
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
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
