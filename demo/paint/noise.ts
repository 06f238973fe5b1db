import type { Random } from '../random';

const SIZE = 256;

/** Smooth value noise on the plane, −1 to 1, the same for the same generator. */
export interface Noise {
  (x: number, y: number): number;
}

/** Makes a noise from a generator: a lattice of random values, smoothly joined. */
export function makeNoise(next: Random): Noise {
  const lattice = Float32Array.from({ length: SIZE * SIZE }, () => next() * 2 - 1);
  return (x, y) => {
    const x0 = Math.floor(x);
    const y0 = Math.floor(y);
    const fx = x - x0;
    const fy = y - y0;
    const sx = fx * fx * (3 - 2 * fx);
    const sy = fy * fy * (3 - 2 * fy);
    const row = (y0 & 255) * SIZE;
    const row1 = ((y0 + 1) & 255) * SIZE;
    const c0 = x0 & 255;
    const c1 = (x0 + 1) & 255;
    const top = lattice[row + c0]! + (lattice[row + c1]! - lattice[row + c0]!) * sx;
    const low = lattice[row1 + c0]! + (lattice[row1 + c1]! - lattice[row1 + c0]!) * sx;
    return top + (low - top) * sy;
  };
}

/** Several octaves of a noise, about −1 to 1. */
export function fbm(noise: Noise, x: number, y: number, octaves: number): number {
  let sum = 0;
  let weight = 0.55;
  for (let i = 0; i < octaves; i++) {
    sum += noise(x + i * 37.2, y - i * 11.7) * weight;
    x *= 2.03;
    y *= 2.03;
    weight *= 0.5;
  }
  return sum;
}

/** 0 below a, 1 above b, smooth between. */
export function ramp(a: number, b: number, x: number): number {
  const t = Math.min(1, Math.max(0, (x - a) / (b - a)));
  return t * t * (3 - 2 * t);
}

/** A slow-changing field worked out at a third of the size, for all coats of a piece to share. */
export interface Field {
  readonly values: Float32Array;
  readonly width: number;
  readonly height: number;
}

const THIRD = 3;

/** Fills a field with `octaves` of noise at the given scales, px. */
export function makeField(
  noise: Noise,
  width: number,
  height: number,
  scaleX: number,
  scaleY: number,
  octaves: number,
): Field {
  const w = Math.ceil(width / THIRD) + 1;
  const h = Math.ceil(height / THIRD) + 1;
  const values = new Float32Array(w * h);
  for (let y = 0, i = 0; y < h; y++)
    for (let x = 0; x < w; x++, i++)
      values[i] = fbm(noise, (x * THIRD) / scaleX, (y * THIRD) / scaleY, octaves);
  return { values, width: w, height: h };
}

/** Folds a place back into 0 … last, so that a shifted field has no seam. */
function fold(place: number, last: number): number {
  const m = place % (2 * last);
  return m <= last ? m : 2 * last - m;
}

/** The value of a field at a pixel, joined smoothly. */
export type Sampler = (x: number, y: number) => number;

/** Where each pixel of one direction falls in a field: the cells on both sides, and how far between them. */
function placesOf(cells: number, shift: number) {
  const count = cells * THIRD;
  const before = new Int32Array(count);
  const after = new Int32Array(count);
  const part = new Float32Array(count);
  for (let i = 0; i < count; i++) {
    const at = i / THIRD + shift;
    const cell = Math.floor(at);
    before[i] = fold(cell, cells - 1);
    after[i] = fold(cell + 1, cells - 1);
    part[i] = at - cell;
  }
  return { before, after, part };
}

/** Reads a field at pixels; `shift` moves it so that coats do not share one pattern. */
export function sampler({ values, width, height }: Field, shift = 0): Sampler {
  const across = placesOf(width, shift * 37);
  const down = placesOf(height, shift * 53);
  return (x, y) => {
    const left = across.before[x]!;
    const right = across.after[x]!;
    const fx = across.part[x]!;
    const row = down.before[y]! * width;
    const below = down.after[y]! * width;
    const top = values[row + left]! + (values[row + right]! - values[row + left]!) * fx;
    const low = values[below + left]! + (values[below + right]! - values[below + left]!) * fx;
    return top + (low - top) * down.part[y]!;
  };
}
