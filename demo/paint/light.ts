import { makeField, makePattern, ramp, rowsOf } from './noise';
import type { Painting } from './colour';
import type { Stand } from './scene';
import type { Random } from '../random';

const SHINE: Readonly<Record<string, number>> = { gloss: 1, satin: 0.42, matte: 0.06 };

/** How much a surface word shines, 0 to 1. */
export function shineOf(surface: string | null): number {
  return SHINE[surface ?? 'gloss'] ?? 0.6;
}

/**
 * Lights a relief from the upper left: soft daylight, a window that reflects in gloss, and the dark of
 * grooves. Multiplies and adds into the painting's colour.
 *
 * @param relief height of the surface, px
 * @param bow slope of the form itself across the width, −1 to 1 at the outlines (0 for flat forms)
 * @param shine 0 to 1 a pixel
 */
export function lightIt(
  painting: Painting,
  stand: Stand,
  inside: Float32Array,
  relief: Float32Array,
  bow: Float32Array,
  shine: Float32Array,
): void {
  const { width, height } = stand;
  const { colour } = painting;
  const wide = stand.right - stand.left;
  for (let y = 1; y < height - 1; y++) {
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x;
      if (inside[i]! <= 0) continue;
      const slopeX = (relief[i + 1]! - relief[i - 1]!) * 0.5;
      const slopeY = (relief[i + width]! - relief[i - width]!) * 0.5;
      const nx = -slopeX + bow[i]! * 0.95;
      const ny = -slopeY;
      const nz = 1 / Math.sqrt(1 + nx * nx + ny * ny);
      const diffuse = (-0.5 * nx - 0.55 * ny + 0.8) * nz;
      const light = 0.3 + 0.78 * Math.max(0, diffuse);
      const px = (x - (stand.left + stand.right) / 2) / wide;
      const py = (y - (stand.rim + stand.foot) / 2) / (stand.foot - stand.rim);
      // The reflected direction: the view leans with the place, the surface with its normal.
      const rx = nx * nz * 1.5 + px * 0.62;
      const ry = ny * nz * 1.5 + py * 0.5;
      const s = shine[i]!;
      const soft = 0.02 + (1 - s) * 0.3;
      const window =
        ramp(-0.4 - soft, -0.4 + soft, rx) *
        (1 - ramp(-0.22 - soft, -0.22 + soft, rx)) *
        ramp(-0.4 - soft, -0.4 + soft, ry) *
        (1 - ramp(0.12 - soft, 0.12 + soft, ry));
      const glints = s > 0.2 ? ramp(0.42, 0.8, -(slopeX + slopeY) * 0.9) : 0;
      const add = s * s * (0.26 * window + 0.3 * glints) + s * 0.02;
      const k = i * 3;
      colour[k] = colour[k]! * light + add;
      colour[k + 1] = colour[k + 1]! * light + add;
      colour[k + 2] = colour[k + 2]! * light + add;
    }
  }
}

const filmGrain = makePattern('film', (noise, x, y) => noise(x * 7.31 + 0.5, y * 5.77 + 0.5) * 0.006);

/** The neutral ground with the piece's contact shadow, as sRGB bytes with the lit piece on it. */
export function develop(painting: Painting, stand: Stand, inside: Float32Array, next: Random): Buffer {
  const { width, height } = stand;
  const paperRow = rowsOf(makeField('paper', 90, 90, 2), width, next);
  const shadowRow = shadowOf(stand, inside);
  const filmAt = filmGrain(next);
  const wide = (stand.right - stand.left) * 0.7;
  const out = Buffer.alloc(width * height * 3);
  const { colour } = painting;
  for (let y = 0, i = 0; y < height; y++) {
    const falloff = 0.585 + 0.02 * (0.5 - y / height);
    const paper = paperRow(y);
    const shadow = shadowRow(y);
    for (let x = 0; x < width; x++, i++) {
      const film = 1 + filmAt(x, y);
      const edge = Math.min(1, inside[i]! * wide);
      const k = i * 3;
      if (edge >= 1) {
        out[k] = toByte(colour[k]! * film);
        out[k + 1] = toByte(colour[k + 1]! * film);
        out[k + 2] = toByte(colour[k + 2]! * film);
        continue;
      }
      const ground = (falloff + 0.004 * paper[x]!) * (1 - 0.62 * shadow[x]!);
      if (edge <= 0) {
        out.fill(toByte(ground * film), k, k + 3);
        continue;
      }
      for (let c = 0; c < 3; c++)
        out[k + c] = toByte((colour[k + c]! * edge + ground * 0.55 * (1 - edge)) * film);
    }
  }
  return out;
}

/** sRGB bytes of linear light in steps of 1/4096. */
const BYTES = Uint8Array.from({ length: 4097 }, (_, i) => {
  const v = i / 4096;
  return Math.round(255 * (v <= 0.0031308 ? v * 12.92 : 1.055 * v ** (1 / 2.4) - 0.055));
});

function toByte(v: number): number {
  return BYTES[v <= 0 ? 0 : v >= 1 ? 4096 : (v * 4096) | 0]!;
}

/** A soft shadow to the lower right, dark where the piece touches: the outline blurred twice over. */
function shadowOf(stand: Stand, inside: Float32Array): (y: number) => Float32Array {
  const width = Math.ceil(stand.width / 3) + 1;
  const height = Math.ceil(stand.height / 3) + 1;
  const near = blurred(shrunk(stand, inside, width, height, 5, 6), width, height, 2);
  const far = blurred(shrunk(stand, inside, width, height, 16, 18), width, height, 8);
  return rowsOf(
    {
      values: near.map((v, i) => Math.min(1, v * 0.5 + far[i]! * 0.5)),
      width,
      height,
      step: 3,
    },
    stand.width,
  );
}

function shrunk(
  { width: full }: Stand,
  inside: Float32Array,
  width: number,
  height: number,
  dx: number,
  dy: number,
): Float32Array {
  const out = new Float32Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      out[y * width + x] =
        y * 3 >= dy && x * 3 >= dx && inside[(y * 3 - dy) * full + x * 3 - dx]! > 0 ? 1 : 0;
  return out;
}

/** Box blurs along the rows and down the columns, twice over, stand for a Gaussian. */
export function blurred(values: Float32Array, width: number, height: number, radius: number): Float32Array {
  let now = values;
  for (let pass = 0; pass < 2; pass++)
    now = boxedDown(boxedAlong(now, width, height, radius), width, height, radius);
  return now;
}

function boxedAlong(values: Float32Array, width: number, height: number, radius: number): Float32Array {
  const out = new Float32Array(values.length);
  const share = 1 / (2 * radius + 1);
  const last = width - 1;
  for (let y = 0; y < height; y++) {
    const start = y * width;
    let sum = 0;
    for (let k = -radius; k <= radius; k++) sum += values[start + Math.min(last, Math.max(0, k))]!;
    for (let k = 0; k < width; k++) {
      out[start + k] = sum * share;
      sum += values[start + Math.min(last, k + radius + 1)]! - values[start + Math.max(0, k - radius)]!;
    }
  }
  return out;
}

/** Row by row with one running sum a column: memory is walked in order. */
function boxedDown(values: Float32Array, width: number, height: number, radius: number): Float32Array {
  const out = new Float32Array(values.length);
  const share = 1 / (2 * radius + 1);
  const last = height - 1;
  const sums = new Float32Array(width);
  for (let k = -radius; k <= radius; k++) {
    const row = Math.min(last, Math.max(0, k)) * width;
    for (let x = 0; x < width; x++) sums[x]! += values[row + x]!;
  }
  for (let y = 0; y < height; y++) {
    const comes = Math.min(last, y + radius + 1) * width;
    const goes = Math.max(0, y - radius) * width;
    for (let x = 0, i = y * width; x < width; x++, i++) {
      out[i] = sums[x]! * share;
      sums[x]! += values[comes + x]! - values[goes + x]!;
    }
  }
  return out;
}
