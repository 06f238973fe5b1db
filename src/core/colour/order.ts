import { labOf } from './lab';

/** Less chroma than this has no hue that an eye would name (judgement), CIELAB. */
const GREY = 8;
/** Where red begins, degrees of CIELAB hue: pink would come before it. */
const RED = 10;

/**
 * Where a colour stands in a row of colours: white, greys and black first, then red, orange, yellow, green, blue and
 * violet.
 *
 * @param hex "#rrggbb"
 * @returns a number that is the greater the later it stands
 */
export function colourRank(hex: string): number {
  const { l, a, b } = labOf(hex);
  if (Math.hypot(a, b) < GREY) return -l;
  const hue = (Math.atan2(b, a) * 180) / Math.PI - RED;
  return 1 + ((hue + 360) % 360);
}
