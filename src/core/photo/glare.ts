import type { Pixels } from './frame';
import { highlightMask } from './highlight';
import { cutOut } from './upright';

/** Windows that a patch is looked at through: how wide, and where each begins, as shares of its width; the middle first. */
const WIDE = 0.55;
const BEGINS = [0.225, 0, 0.45];

/**
 * The part of a patch beside the light that it reflects: of its middle, left and right the one with the least glare.
 * Where they are alike, the middle.
 *
 * @example A gloss tile with a bright streak in its left third gives its middle or its right.
 */
export function besideGlare(patch: Pixels): Pixels {
  const { width, height } = patch;
  const glare = highlightMask(patch);
  const wide = Math.max(1, Math.round(width * WIDE));
  const windows = BEGINS.map((begin) => {
    const left = Math.min(width - wide, Math.round(width * begin));
    let glaring = 0;
    for (let y = 0; y < height; y++)
      for (let x = left; x < left + wide; x++) glaring += glare[y * width + x]!;
    return { left, glaring };
  });
  const best = windows.reduce((least, one) => (one.glaring < least.glaring ? one : least));
  return cutOut(patch, { left: best.left, top: 0, width: wide, height });
}
