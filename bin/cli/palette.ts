import sharp from 'sharp';
import { z } from 'zod';
import { measureZone } from '../../src/core/photo';
import type { Command } from './main';

/** Longest side that is looked at, px: glare and streaks of a zone are seen well in so many. */
const LONGEST = 384;
/** The largest picture that is taken, pixels. */
const MOST_PIXELS = 250_000_000;

const schema = z.string('palette needs the path of a picture').min(1, 'must not be empty');

/** `palette IMAGE`: the colours of a picture of one zone with their shares, and how much of it glares. */
export const palette: Command = async (_, [image]) => {
  const parsed = z.object({ image: schema }).safeParse({ image });
  if (!parsed.success) return { errors: parsed.error };
  try {
    const { data, info } = await sharp(parsed.data.image, { limitInputPixels: MOST_PIXELS })
      .rotate()
      .resize(LONGEST, LONGEST, { fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb')
      .flatten({ background: '#ffffff' })
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const { palette: shades, glare } = measureZone({ data, width: info.width, height: info.height });
    return { answer: { colours: shades.map(({ lab, share }) => ({ ...lab, share })), glare } };
  } catch (error) {
    const message = `no picture that can be read (${(error as Error).message})`;
    return { errors: new z.ZodError([{ code: 'custom', path: ['image'], message, input: image }]) };
  }
};
