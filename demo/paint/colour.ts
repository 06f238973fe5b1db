import { makeField, makeNoise, ramp, sampler } from './noise';
import { linear, type GlazeLook, type Linear } from './looks';
import type { Layer } from './layers';
import type { PaintedPiece, Stand } from './scene';
import type { Random } from '../random';

/** Linear-light colour, three values a pixel, and the gloss of the uppermost layer (0 matte to 1). */
export interface Painting {
  readonly colour: Float32Array;
  readonly gloss: Float32Array;
}

interface Ink {
  readonly thin: Linear;
  readonly normal: Linear;
  readonly pool: Linear;
}

function inkOf(look: GlazeLook, reduction: boolean, shifted: boolean): Ink {
  const chosen = shifted ? (look.shifted ?? look) : reduction ? (look.reduced ?? look) : look;
  return { thin: linear(chosen.thin), normal: linear(chosen.normal), pool: linear(chosen.pool) };
}

/** Lays bare clay, then every coat over what is below it, by its thickness at each pixel. */
export function colourOf(
  piece: PaintedPiece,
  stand: Stand,
  inside: Float32Array,
  bare: Float32Array,
  layers: readonly Layer[],
  next: Random,
): Painting {
  const colour = bare.slice();
  const gloss = new Float32Array(inside.length).fill(0.04);
  const shifted = piece.zones.some((zone) => zone.defects.some(({ defect }) => defect === 'colour-shift'));
  const noise = makeNoise(next);
  const clouds = makeField(noise, stand.width, stand.height, 24, 36, 3);
  const runs = makeField(noise, stand.width, stand.height, 9, 110, 2);
  const covered = new Float32Array(inside.length);
  for (const [n, { coat, thickness }] of layers.entries()) {
    const ink = inkOf(coat.look, piece.reduction, shifted);
    const shine = coat.slip ? 0.05 : 1;
    const cloudAt = sampler(clouds, n);
    const runAt = sampler(runs, n);
    for (let i = 0; i < thickness.length; i++) {
      const th = thickness[i]!;
      if (th <= 0.003) continue;
      const x = i % stand.width;
      const y = (i / stand.width) | 0;
      // Over another glaze the two stir into each other: the upper one breaks open in clouds and runs.
      const stirred = coat.slip ? 0 : Math.min(1, covered[i]!) * (0.35 + 0.3 * coat.look.fluid);
      const breaks = stirred && stirred * (cloudAt(x, y) * 0.9 + coat.look.streak * runAt(x, y) * 1.1);
      const seen = Math.max(0, th * (1 + breaks) * (1 - 0.22 * Math.min(1, covered[i]!)));
      lay(colour, i * 3, ink, coat.look.hiding, seen);
      gloss[i] = gloss[i]! + (shine - gloss[i]!) * ramp(0.05, 0.5, th);
      if (!coat.slip) covered[i] = covered[i]! + th;
    }
    if (coat.look.specks) specks(colour, stand, thickness, coat.look.specks, next);
  }
  return { colour, gloss };
}

function lay(colour: Float32Array, i: number, { thin, normal, pool }: Ink, hiding: number, th: number): void {
  const deep = ramp(0.9, 2.4, th);
  const open = ramp(0.15, 0.85, th);
  const cover = 1 - Math.exp(-hiding * th * 1.15);
  const tint = Math.min(1, th * 0.55) * Math.min(1, hiding);
  for (let c = 0; c < 3; c++) {
    const shallow = thin[c]! + (normal[c]! - thin[c]!) * open;
    const own = shallow + (pool[c]! - shallow) * deep;
    const through = colour[i + c]! * (1 - tint + tint * Math.sqrt(own));
    colour[i + c] = through * (1 - cover) + own * cover;
  }
}

/** The unglazed clay of a piece in linear light: grain, toasted edges, iron specks. */
export function bareClay(
  piece: PaintedPiece,
  stand: Stand,
  inside: Float32Array,
  next: Random,
): Float32Array {
  const { body } = piece;
  const base = linear(piece.reduction ? body.reduced : body.colour);
  const noise = makeNoise(next);
  const patchAt = sampler(makeField(noise, stand.width, stand.height, 16, 16, 3));
  const broadAt = sampler(makeField(noise, stand.width, stand.height, 120, 120, 2));
  const colour = new Float32Array(inside.length * 3);
  for (let i = 0; i < inside.length; i++) {
    if (inside[i]! <= 0) continue;
    const x = i % stand.width;
    const y = (i / stand.width) | 0;
    const grain =
      1 + body.grain * (0.1 * noise(x / 2.1, y / 2.1) + 0.12 * patchAt(x, y)) + 0.05 * broadAt(x, y);
    // Flame flashes iron clay darker toward its edges.
    const toast = 1 - 0.18 * body.grain * Math.exp(-inside[i]! / 0.05);
    for (let c = 0; c < 3; c++) colour[i * 3 + c] = base[c]! * grain * toast;
  }
  const all = new Float32Array(inside.length).fill(1);
  specks(colour, stand, all, body.specks, next);
  return colour;
}

/** Sprinkles dark iron specks where a layer lies. */
function specks(colour: Float32Array, stand: Stand, where: Float32Array, perCm2: number, next: Random): void {
  const area = ((stand.right - stand.left) * (stand.foot - stand.rim)) / 5800;
  for (let n = 0; n < perCm2 * area; n++) {
    const cx = stand.left + next() * (stand.right - stand.left);
    const cy = stand.rim + next() * (stand.foot - stand.rim);
    const r = 0.7 + next() ** 3 * 2.4;
    const dark = 0.25 + next() * 0.4;
    for (let y = Math.floor(cy - r); y <= cy + r; y++) {
      for (let x = Math.floor(cx - r); x <= cx + r; x++) {
        const i = y * stand.width + x;
        const far = Math.hypot(x - cx, y - cy) / r;
        if (far > 1 || !(where[i]! > 0.1)) continue;
        const keep = dark + (1 - dark) * far;
        for (let c = 0; c < 3; c++) colour[i * 3 + c]! *= keep;
      }
    }
  }
}
