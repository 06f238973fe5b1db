import type { Pixels } from './frame';
import { highlightMask } from './highlight';
import { LINEAR } from './light';

/** A pit or pinhole found in a patch, px of the patch; size in millimetres. */
export interface Pit {
  readonly x: number;
  readonly y: number;
  /** px */
  readonly radius: number;
  readonly diameterMm: number;
}

/** Smallest and largest hole that is called a pit, mm across. */
const PIT_MM = [0.25, 3.2] as const;

/**
 * Finds pits and pinholes in a patch of glaze: places darker than what lies about them, with the lit far
 * wall of the hollow, gathered into connected spots (8 neighbours), kept when they are round and of a pit's size. Cracks are long, mottle is
 * soft: neither passes. Judgement, tried on painted tiles with known pits.
 *
 * @param mmPerPixel from the known height of the piece
 * @returns pits from top to bottom
 */
export function findPits(pixels: Pixels, mmPerPixel: number): Pit[] {
  const { width, height } = pixels;
  const dark = darkness(pixels, Math.max(3, Math.round(1.6 / mmPerPixel)));
  const spots = spotsOf(dark.mask, width, height);
  return spots
    .map((spot) => pitOf(spot, dark.depth, width, mmPerPixel))
    .filter((pit) => pit !== null)
    .sort((a, b) => a.y - b.y || a.x - b.x);
}

/** How much darker each pixel is than the mean about it (share), and which stand out either way from the patch's own grain. */
function darkness(pixels: Pixels, radius: number): { depth: Float32Array; mask: Uint8Array } {
  const { width, height } = pixels;
  const light = lightness(pixels);
  const around = boxMean(light, width, height, radius);
  const depth = new Float32Array(light.length);
  for (let i = 0; i < light.length; i++) depth[i] = 1 - light[i]! / Math.max(0.02, around[i]!);
  const grain = spread(depth);
  const bound = Math.max(0.06, Math.min(0.1, 2 * grain));
  return { depth, mask: Uint8Array.from(depth, (value) => (Math.abs(value) > bound ? 1 : 0)) };
}

/** Lightness on about the scale of the eye: the cube root of luminance; glare is brought down to the usual. */
function lightness(pixels: Pixels): Float32Array {
  const { data, width, height } = pixels;
  const glare = highlightMask(pixels);
  const light = new Float32Array(width * height);
  let sum = 0;
  let n = 0;
  for (let i = 0; i < light.length; i++) {
    const y =
      0.2126 * LINEAR[data[i * 3]!]! +
      0.7152 * LINEAR[data[i * 3 + 1]!]! +
      0.0722 * LINEAR[data[i * 3 + 2]!]!;
    light[i] = Math.cbrt(y);
    if (glare[i]) continue;
    sum += light[i]!;
    n++;
  }
  const usual = n ? sum / n : 0.5;
  for (let i = 0; i < light.length; i++) if (glare[i]) light[i] = Math.min(light[i]!, usual * 1.25);
  return light;
}

/** Mean over a square about each pixel, by a summed table; the square shrinks at the edges. */
function boxMean(values: Float32Array, width: number, height: number, radius: number): Float32Array {
  const table = new Float64Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      row += values[y * width + x]!;
      table[(y + 1) * (width + 1) + x + 1] = table[y * (width + 1) + x + 1]! + row;
    }
  }
  const mean = new Float32Array(values.length);
  for (let y = 0; y < height; y++) {
    const [y0, y1] = [Math.max(0, y - radius), Math.min(height, y + radius + 1)];
    for (let x = 0; x < width; x++) {
      const [x0, x1] = [Math.max(0, x - radius), Math.min(width, x + radius + 1)];
      const sum =
        table[y1 * (width + 1) + x1]! -
        table[y0 * (width + 1) + x1]! -
        table[y1 * (width + 1) + x0]! +
        table[y0 * (width + 1) + x0]!;
      mean[y * width + x] = sum / ((y1 - y0) * (x1 - x0));
    }
  }
  return mean;
}

/** Standard deviation by the median of what lies about zero: pits themselves do not widen it. */
function spread(values: Float32Array): number {
  const step = Math.max(1, Math.floor(values.length / 4000));
  const sizes: number[] = [];
  for (let i = 0; i < values.length; i += step) sizes.push(Math.abs(values[i]!));
  sizes.sort((a, b) => a - b);
  return 1.4826 * (sizes[sizes.length >> 1] ?? 0);
}

interface Spot {
  readonly pixels: readonly number[];
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Connected spots of a mask, 8 neighbours. */
function spotsOf(mask: Uint8Array, width: number, height: number): Spot[] {
  const seen = new Uint8Array(mask.length);
  const spots: Spot[] = [];
  for (let start = 0; start < mask.length; start++) {
    if (!mask[start] || seen[start]) continue;
    const pixels = [start];
    seen[start] = 1;
    let [left, right, top, bottom] = [width, 0, height, 0];
    for (let at = 0; at < pixels.length; at++) {
      const [x, y] = [pixels[at]! % width, Math.floor(pixels[at]! / width)];
      [left, right, top, bottom] = [
        Math.min(left, x),
        Math.max(right, x),
        Math.min(top, y),
        Math.max(bottom, y),
      ];
      for (let j = Math.max(0, y - 1); j <= Math.min(height - 1, y + 1); j++)
        for (let i = Math.max(0, x - 1); i <= Math.min(width - 1, x + 1); i++) {
          const to = j * width + i;
          if (!mask[to] || seen[to]) continue;
          seen[to] = 1;
          pixels.push(to);
        }
    }
    spots.push({ pixels, left, right, top, bottom });
  }
  return spots;
}

function pitOf(spot: Spot, depth: Float32Array, width: number, mmPerPixel: number): Pit | null {
  const [wide, tall] = [spot.right - spot.left + 1, spot.bottom - spot.top + 1];
  const area = spot.pixels.length;
  const diameter = 2 * Math.sqrt(area / Math.PI);
  const diameterMm = diameter * mmPerPixel;
  const deepest = spot.pixels.reduce((most, i) => Math.max(most, depth[i]!), 0);
  const round = Math.max(wide, tall) / Math.min(wide, tall) < 2.1 && area / (wide * tall) > 0.45;
  if (!round || area < 5 || deepest < 0.07 || diameterMm < PIT_MM[0] || diameterMm > PIT_MM[1]) return null;
  const mean = (of: (i: number) => number) => spot.pixels.reduce((sum, i) => sum + of(i), 0) / area;
  return {
    x: mean((i) => i % width),
    y: mean((i) => Math.floor(i / width)),
    radius: diameter / 2,
    diameterMm,
  };
}

/** The crack network of a patch. */
export interface Cracks {
  /** Length of cracks by area, mm per cm². */
  readonly density: number;
  /** Pixels of the patch that lie on the middle of a crack. */
  readonly pixels: readonly number[];
}

const WAYS = [
  [1, 0],
  [0, 1],
  [1, 1],
  [1, -1],
] as const;

/** A crack shorter than this is a scratch or grain, mm. */
const LEAST_CRACK_MM = 4;

/**
 * Finds a net of fine dark cracks: pixels darker than both their sides across the crack, thinned to its
 * middle, and joined to runs longer than {@link LEAST_CRACK_MM}. Lengths are counted in pixels along the
 * run, 1.1 for the steps of a slanted line.
 *
 * @param mmPerPixel from the known height of the piece
 */
export function findCracks(pixels: Pixels, mmPerPixel: number): Cracks {
  const { width, height } = pixels;
  const light = lightness(pixels);
  const reach = Math.max(2, Math.round(0.3 / mmPerPixel));
  const ridge = new Float32Array(light.length);
  const way = new Uint8Array(light.length);
  for (let y = reach; y < height - reach; y++)
    for (let x = reach; x < width - reach; x++) {
      const i = y * width + x;
      for (const [k, [dx, dy]] of WAYS.entries()) {
        const off = (dy * width + dx) * reach;
        const drop = Math.min(light[i - off]!, light[i + off]!) / Math.max(0.02, light[i]!) - 1;
        if (drop > ridge[i]!) [ridge[i], way[i]] = [drop, k];
      }
    }
  const bound = Math.max(0.045, 2.2 * spread(ridge));
  const mask = new Uint8Array(light.length);
  for (let i = width + 1; i < light.length - width - 1; i++) {
    const [dx, dy] = WAYS[way[i]!]!;
    const step = dy * width + dx;
    if (ridge[i]! > bound && ridge[i]! >= ridge[i - step]! && ridge[i]! > ridge[i + step]!) mask[i] = 1;
  }
  const runs = spotsOf(mask, width, height).filter(
    (spot) => Math.hypot(spot.right - spot.left, spot.bottom - spot.top) * mmPerPixel > LEAST_CRACK_MM,
  );
  const found = runs.flatMap((run) => run.pixels);
  const area = (width * height * mmPerPixel ** 2) / 100;
  return { density: area ? (found.length * 1.1 * mmPerPixel) / area : 0, pixels: found };
}
