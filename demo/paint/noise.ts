import { random, type Random } from '../random';

const SIZE = 128;
const LAST = SIZE - 1;

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
    const row = (y0 & LAST) * SIZE;
    const row1 = ((y0 + 1) & LAST) * SIZE;
    const c0 = x0 & LAST;
    const c1 = (x0 + 1) & LAST;
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

const STEPS = 64;
const DECAY = Float32Array.from({ length: 12 * STEPS + 1 }, (_, i) => Math.exp(-i / STEPS));

/** exp(−x) for x ≥ 0 in steps of 1/64: near enough for a picture, and many times as quick. */
export function decay(x: number): number {
  return x >= 12 ? 0 : DECAY[(x * STEPS + 0.5) | 0]!;
}

const TABLE = 512;

/**
 * A ready-made pattern of 512 × 512 px that repeats, for grain too fine to be told apart from piece to
 * piece; each use is moved to a place of its own.
 */
export function makePattern(
  seed: string,
  at: (noise: Noise, x: number, y: number) => number,
): (next: Random) => (x: number, y: number) => number {
  const noise = makeNoise(random(seed));
  const values = Float32Array.from({ length: TABLE * TABLE }, (_, i) =>
    at(noise, i % TABLE, (i / TABLE) | 0),
  );
  return (next) => {
    const dx = (next() * TABLE) | 0;
    const dy = (next() * TABLE) | 0;
    return (x, y) => values[((y + dy) & (TABLE - 1)) * TABLE + ((x + dx) & (TABLE - 1))]!;
  };
}

/** A slow-changing field, told at every few pixels only. */
export interface Field {
  readonly values: Float32Array;
  readonly width: number;
  readonly height: number;
  /** Pixels from one value to the next. */
  readonly step: number;
}

/** The finest octave is told at about eight places a wave, and never more often than every third pixel. */
function stepFor(scale: number, octaves: number): number {
  return Math.max(3, Math.round(scale / 2 ** (octaves - 1) / 8));
}

/** Pixels along a side of a field: several pictures wide, so that no two pieces show the same part. */
const FIELD_SIDE = 2048;

const fields = new Map<string, Field>();

/** A field of `octaves` of noise at the given scales, px, made once; each use reads another part of it. */
export function makeField(name: string, scaleX: number, scaleY: number, octaves: number): Field {
  const known = fields.get(name);
  if (known) return known;
  const noise = makeNoise(random(name));
  const step = stepFor(Math.min(scaleX, scaleY), octaves);
  const side = Math.ceil(FIELD_SIDE / step);
  const values = new Float32Array(side * side);
  for (let y = 0, i = 0; y < side; y++)
    for (let x = 0; x < side; x++, i++)
      values[i] = fbm(noise, (x * step) / scaleX, (y * step) / scaleY, octaves);
  const field = { values, width: side, height: side, step };
  fields.set(name, field);
  return field;
}

/** Folds a place back into 0 … last, so that a shifted field has no seam. */
function fold(place: number, last: number): number {
  const m = place % (2 * last);
  return m <= last ? m : 2 * last - m;
}

/**
 * Reads a field a row of pixels at a time, joined smoothly, from a place that is drawn, or from its corner.
 * The row is overwritten by the next one asked for.
 *
 * @param wide pixels of a row
 */
export function rowsOf(
  { values, width, height, step }: Field,
  wide: number,
  next?: Random,
): (y: number) => Float32Array {
  const count = Math.ceil(wide / step);
  const row = new Float32Array(count * step);
  const cells = new Float32Array(count + 1);
  const [dx, dy] = next ? [Math.floor(next() * width), Math.floor(next() * height)] : [0, 0];
  const across = Int32Array.from(cells, (_, c) => fold(c + dx, width - 1));
  return (y) => {
    const at = Math.floor(y / step) + dy;
    const part = (y % step) / step;
    const top = fold(at, height - 1) * width;
    const low = fold(at + 1, height - 1) * width;
    for (let c = 0; c <= count; c++) {
      const above = values[top + across[c]!]!;
      cells[c] = above + (values[low + across[c]!]! - above) * part;
    }
    for (let c = 0, x = 0; c < count; c++) {
      const rise = (cells[c + 1]! - cells[c]!) / step;
      for (let k = 0, value = cells[c]!; k < step; k++, value += rise) row[x++] = value;
    }
    return row;
  };
}
