import { converter } from 'culori';
import type { Pixels } from './frame';
import type { Point } from './upright';

const toLinear = converter('lrgb');
const fromLinear = converter('rgb');

/** Linear light (0 to 1) of each value of an sRGB channel. */
export const LINEAR = Float64Array.from(
  { length: 256 },
  (_, value) => toLinear({ mode: 'rgb', r: value / 255, g: 0, b: 0 }).r,
);

/** Factors on linear red, green and blue that make a photo's colours right. */
export type Gains = readonly [number, number, number];

/** Reflectance of a photographer's grey card. */
const GREY_CARD = 0.18;

/** A correction beyond this factor means that no grey card was tapped. */
const MOST_GAIN = 4;

/**
 * What corrects a photo in which a grey card (18 %) was tapped: the patch about the point becomes neutral
 * and as light as the card.
 *
 * @param reach half the side of the patch, as a share of the picture's width
 * @throws RangeError when the patch is too dark, burnt out or too strongly coloured to be a grey card
 */
export function greyGains({ data, width, height }: Pixels, at: Point, reach = 0.008): Gains {
  const r = Math.max(1, Math.round(width * reach));
  const [cx, cy] = [Math.round(at.x * width), Math.round(at.y * height)];
  const sum = [0, 0, 0];
  let n = 0;
  for (let y = Math.max(0, cy - r); y <= Math.min(height - 1, cy + r); y++)
    for (let x = Math.max(0, cx - r); x <= Math.min(width - 1, cx + r); x++, n++)
      for (let c = 0; c < 3; c++) sum[c]! += LINEAR[data[(y * width + x) * 3 + c]!]!;
  const gains = sum.map((part) => GREY_CARD / (part / n)) as [number, number, number];
  const [most, least] = [Math.max(...gains), Math.min(...gains)];
  if (!(n > 0) || most > MOST_GAIN || least < 1 / MOST_GAIN || most / least > 3)
    throw new RangeError('this is no grey card');
  return gains;
}

/** The same picture with its linear light multiplied by the gains, clipped. */
export function withGains(pixels: Pixels, gains: Gains): Pixels {
  const tables = gains.map((gain) =>
    Uint8Array.from(LINEAR, (value) => {
      const { r } = fromLinear({ mode: 'lrgb', r: Math.min(1, value * gain), g: 0, b: 0 });
      return Math.round(r * 255);
    }),
  );
  const data = new Uint8Array(pixels.data.length);
  for (let i = 0; i < data.length; i++) data[i] = tables[i % 3]![pixels.data[i]!]!;
  return { ...pixels, data };
}

/** The median of bytes. */
export function median(values: Uint8Array): number {
  const counts = new Uint32Array(256);
  for (const value of values) counts[value]!++;
  let seen = 0;
  return counts.findIndex((count) => (seen += count) * 2 >= values.length);
}
