import type { Pixels } from './frame';
import { LINEAR, median } from './light';

/** All channels of a burnt-out pixel reach this; of one that is nearly so, this. */
const BURNT = 250;
const NEARLY = 226;
/** A patch whose usual pixel is as light as this is white itself: nothing on it can be told for glare. */
const WHITE = 238;
/** How far the channels may rise unevenly above what lies below, for light that is added white: a share and a floor. */
const UNEVEN = { share: 0.22, floor: 0.025 };
/** White light that is added at least where glare shades off, and in a spark, in linear light. */
const SHADED = 0.03;
const SPARK = 0.12;
/** Sparks are small, as a share of the patch, and few: many are a speckle of the glaze (judgement). */
const SPARKS = { largest: 0.004, most: 5 };
/** How far glare shades off, in half widths of what is burnt out, and the pixels that this is at most. */
const SHADES = { widths: 4, most: 60 };
/** Glare that is not quite burnt out shades off softly: so much of its light is left two pixels beyond its edge. */
const SOFT = 0.55;
/** Glare fades at least this fast, in half widths of what is burnt out for each factor of e (judgement). */
const FADES = 2;
/** White light may rise by so much from a pixel to the next one out, by noise. */
const NOISE = 0.03;

/**
 * Where light glares off a glossy surface: 1 for glare, 0 elsewhere, one value a pixel.
 *
 * Glare adds white light. What is burnt out in all channels is glare, or nearly so and soft at its edge; and so is what
 * shades off around it as far as it is the colour of its surroundings with white added, ever less with the distance.
 * Beyond that, a few small sharp sparks of white on the colour of the patch are. A cream break, a white line or a pale
 * streak is none of these: it is coloured, or sharp and not burnt out, or one of many. A margin of one pixel is masked
 * with what glares.
 */
export function highlightMask(pixels: Pixels): Uint8Array {
  const { data, width, height } = pixels;
  const weakest = new Uint8Array(width * height);
  for (let i = 0; i < weakest.length; i++)
    weakest[i] = Math.min(data[i * 3]!, data[i * 3 + 1]!, data[i * 3 + 2]!);
  const glare = new Uint8Array(weakest.length);
  if (median(weakest) >= WHITE) return glare;
  for (const blob of blobsOf(
    weakest.map((value) => Number(value >= BURNT)),
    width,
  ))
    shadeOff(pixels, blob, true, glare);
  for (const blob of blobsOf(
    weakest.map((value, i) => Number(value >= NEARLY && !glare[i])),
    width,
  ))
    shadeOff(pixels, blob, false, glare);
  for (const blob of sparksOf(pixels, glare)) for (const i of blob) glare[i] = 1;
  return widened(glare, width, height);
}

/** Groups of set pixels that touch, each as the list of their places. */
function blobsOf(mask: Uint8Array, width: number): number[][] {
  const seen = new Uint8Array(mask.length);
  const blobs: number[][] = [];
  for (let start = 0; start < mask.length; start++) {
    if (!mask[start] || seen[start]) continue;
    const blob = [start];
    seen[start] = 1;
    for (let at = 0; at < blob.length; at++)
      for (const next of besides(blob[at]!, width, mask.length))
        if (mask[next] && !seen[next]) {
          seen[next] = 1;
          blob.push(next);
        }
    blobs.push(blob);
  }
  return blobs;
}

/** The pixels to the left, the right, above and below. */
function besides(i: number, width: number, count: number): number[] {
  const x = i % width;
  const near: number[] = [];
  if (x > 0) near.push(i - 1);
  if (x < width - 1) near.push(i + 1);
  if (i >= width) near.push(i - width);
  if (i + width < count) near.push(i + width);
  return near;
}

/** Marks a bright blob and what shades off around it; one that is not burnt out only where it does so softly. */
function shadeOff(
  { data, width }: Pixels,
  blob: readonly number[],
  isBurnt: boolean,
  glare: Uint8Array,
): void {
  const count = glare.length;
  const inside = new Set(blob);
  const edge = blob.filter((i) => besides(i, width, count).some((next) => !inside.has(next)));
  const half = (2 * blob.length) / Math.max(1, edge.length);
  const reach = Math.min(SHADES.most, Math.ceil(half * SHADES.widths) + 2);
  const rings = ringsAround(blob, reach + 6, width, count);
  const far = rings.slice(reach).flat();
  if (far.length === 0) {
    if (isBurnt) for (const i of blob) glare[i] = 1;
    return;
  }
  const below = [0, 1, 2].map((c) => LINEAR[medianOf(far.map((i) => data[i * 3 + c]!))]!);
  const white = (i: number) => whiteOver(data, i, below);
  const most = blob.reduce((sum, i) => sum + white(i), 0) / blob.length;
  const second = rings[1] ?? [];
  const left = second.reduce((sum, i) => sum + white(i), 0) / Math.max(1, second.length);
  if (!isBurnt && left < SOFT * most) return;
  const light = new Map(blob.map((i) => [i, 1]));
  for (const i of blob) glare[i] = 1;
  for (const [distance, ring] of rings.slice(0, reach).entries())
    for (const i of ring) {
      const own = white(i);
      // A white line that runs out of the glare does not fade.
      if (own < SHADED || own > 1.2 * Math.exp(-distance / (FADES * half)) + 0.05) continue;
      const from = besides(i, width, count).flatMap((next) => light.get(next) ?? []);
      if (from.length === 0 || own > Math.max(...from) + NOISE) continue;
      light.set(i, own);
      glare[i] = 1;
    }
}

/** The pixels around a blob by their distance, nearest first. */
function ringsAround(blob: readonly number[], most: number, width: number, count: number): number[][] {
  const seen = new Set(blob);
  const rings: number[][] = [];
  for (let last: readonly number[] = blob; rings.length < most && last.length > 0; last = rings.at(-1)!) {
    const ring: number[] = [];
    for (const i of last)
      for (const next of besides(i, width, count))
        if (!seen.has(next)) {
          seen.add(next);
          ring.push(next);
        }
    rings.push(ring);
  }
  return rings;
}

/** The white light that a pixel has beyond a colour, linear; 0 where what it has is not white. */
function whiteOver(data: ArrayLike<number>, i: number, below: readonly number[]): number {
  const [r, g, b] = [0, 1, 2].map((c) => LINEAR[data[i * 3 + c]!]! - below[c]!) as [number, number, number];
  const [most, least] = [Math.max(r, g, b), Math.min(r, g, b)];
  // A channel that is full can rise no further.
  const isFull = data[i * 3]! >= BURNT || data[i * 3 + 1]! >= BURNT || data[i * 3 + 2]! >= BURNT;
  return isFull || most - least <= UNEVEN.share * most + UNEVEN.floor ? least : 0;
}

/** Small spots of white on the colour of the patch, where there are only a few. */
function sparksOf({ data, width }: Pixels, glare: Uint8Array): number[][] {
  const rest = [...glare.keys()].filter((i) => !glare[i]);
  if (rest.length === 0) return [];
  const below = [0, 1, 2].map((c) => LINEAR[medianOf(rest.map((i) => data[i * 3 + c]!))]!);
  const mask = new Uint8Array(glare.length);
  for (const i of rest) mask[i] = Number(whiteOver(data, i, below) >= SPARK);
  const most = Math.max(2, SPARKS.largest * glare.length);
  const blobs = blobsOf(mask, width);
  const sparks = blobs.filter((blob) => blob.length <= most);
  return sparks.length <= SPARKS.most && sparks.length === blobs.length ? sparks : [];
}

function medianOf(values: readonly number[]): number {
  return median(Uint8Array.from(values));
}

/** A mask with one pixel more around all that is set. */
function widened(glare: Uint8Array, width: number, height: number): Uint8Array {
  const mask = new Uint8Array(glare.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if (glare[y * width + x])
        for (let j = Math.max(0, y - 1); j <= Math.min(height - 1, y + 1); j++)
          mask.fill(1, j * width + Math.max(0, x - 1), j * width + Math.min(width, x + 2));
  return mask;
}
