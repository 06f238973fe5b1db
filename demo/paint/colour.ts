import { decay, makeField, makeNoise, makePattern, ramp, rowsOf } from './noise';
import { linear, type BodyLook, type GlazeLook, type Linear } from './looks';
import { maskOf } from './masks';
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
  const clouds = makeField('clouds', 24, 36, 3);
  const runs = makeField('runs', 9, 110, 2);
  const covered = new Float32Array(inside.length);
  for (const { coat, thickness, top, bottom } of layers) {
    const table = tableOf(inkOf(coat.look, piece.reduction, shifted), coat.look.hiding);
    const shine = coat.slip ? 0.05 : 1;
    const streak = coat.look.streak * 1.1;
    const stirs = coat.slip ? 0 : 0.35 + 0.3 * coat.look.fluid;
    const cloudRow = rowsOf(clouds, stand.width, next);
    const runRow = rowsOf(runs, stand.width, next);
    for (let y = top; y < bottom; y++) {
      const cloud = cloudRow(y);
      const run = runRow(y);
      for (let x = stand.left, i = y * stand.width + x; x < stand.end; x++, i++) {
        const th = thickness[i]!;
        if (th <= 0.003) continue;
        // Over another glaze the two stir into each other: the upper one breaks open in clouds and runs.
        const stirred = Math.min(1, covered[i]!) * stirs;
        const breaks = stirred * (cloud[x]! * 0.9 + streak * run[x]!);
        const seen = Math.max(0, th * (1 + breaks) * (1 - 0.22 * Math.min(1, covered[i]!)));
        const at = Math.min(THICKEST * STEPS - 1, (seen * STEPS + 0.5) | 0) * 6;
        const k = i * 3;
        colour[k] = colour[k]! * table[at + 3]! + table[at]!;
        colour[k + 1] = colour[k + 1]! * table[at + 4]! + table[at + 1]!;
        colour[k + 2] = colour[k + 2]! * table[at + 5]! + table[at + 2]!;
        gloss[i] = gloss[i]! + (shine - gloss[i]!) * (th >= 0.5 ? 1 : ramp(0.05, 0.5, th));
        if (!coat.slip) covered[i] = covered[i]! + th;
      }
    }
    if (coat.look.specks) specks(colour, stand, thickness, coat.look.specks, next);
  }
  return { colour, gloss };
}

/** Steps a dip's thickness is told apart in, and the thickest told. */
const STEPS = 160;
const THICKEST = 6;

/** What a glaze does at each thickness: its own colour times its cover, and the share of what is below. */
function tableOf({ thin, normal, pool }: Ink, hiding: number): Float32Array {
  const table = new Float32Array(THICKEST * STEPS * 6);
  for (let n = 0; n < THICKEST * STEPS; n++) {
    const th = n / STEPS;
    const deep = ramp(0.9, 2.4, th);
    const open = ramp(0.15, 0.85, th);
    const cover = 1 - Math.exp(-hiding * th * 1.15);
    const tint = Math.min(1, th * 0.55) * Math.min(1, hiding);
    for (let c = 0; c < 3; c++) {
      const shallow = thin[c]! + (normal[c]! - thin[c]!) * open;
      const own = shallow + (pool[c]! - shallow) * deep;
      table[n * 6 + c] = own * cover;
      table[n * 6 + 3 + c] = (1 - tint + tint * Math.sqrt(own)) * (1 - cover);
    }
  }
  return table;
}

const fineGrain = makePattern('fine grain', (noise, x, y) => noise(x / 2.1, y / 2.1));

/** The unglazed clay of a piece in linear light: grain, toasted edges, iron specks. */
export function bareClay(
  piece: PaintedPiece,
  stand: Stand,
  inside: Float32Array,
  next: Random,
): Float32Array {
  const { body } = piece;
  const base = linear(piece.reduction ? body.reduced : body.colour);
  const clayAt = claysOf(piece, stand, base, next);
  const fineAt = fineGrain(next);
  const patchRow = rowsOf(makeField('patches', 16, 16, 3), stand.width, next);
  const broadRow = rowsOf(makeField('broad', 120, 120, 2), stand.width, next);
  const colour = new Float32Array(inside.length * 3);
  for (let y = stand.rim; y < stand.foot; y++) {
    const patch = patchRow(y);
    const broad = broadRow(y);
    for (let x = stand.left, i = y * stand.width + x; x < stand.end; x++, i++) {
      if (inside[i]! <= 0) continue;
      const grain = 1 + body.grain * (0.1 * fineAt(x, y) + 0.12 * patch[x]!) + 0.05 * broad[x]!;
      // Flame flashes iron clay darker toward its edges.
      const toast = 1 - 0.18 * body.grain * decay(inside[i]! / 0.05);
      const light = grain * toast;
      const clay = clayAt ? clayAt(x, y, i) : base;
      colour[i * 3] = clay[0] * light;
      colour[i * 3 + 1] = clay[1] * light;
      colour[i * 3 + 2] = clay[2] * light;
    }
  }
  const all = new Float32Array(inside.length).fill(1);
  specks(colour, stand, all, body.specks, next);
  return colour;
}

/** The colour of the clay at each place of a piece that is of more than one; null for one clay. */
function claysOf(
  { marbledWith, inlays = [], reduction }: PaintedPiece,
  stand: Stand,
  base: Linear,
  next: Random,
): ((x: number, y: number, i: number) => Linear) | null {
  if (!marbledWith && inlays.length === 0) return null;
  const of = (look: BodyLook) => linear(reduction ? look.reduced : look.colour);
  const other = marbledWith ? of(marbledWith) : base;
  const noise = makeNoise(next);
  const laid = inlays.map(({ outline, body }) => ({ mask: maskOf(outline, stand), colour: of(body) }));
  return (x, y, i) => {
    const inlay = laid.find(({ mask }) => mask[i]);
    if (inlay) return inlay.colour;
    if (!marbledWith) return base;
    // Bands of the two clays, drawn out and folded over each other.
    const fold = 1.6 * noise(x / 170, y / 170) + 0.5 * noise(x / 60, y / 60);
    const share = ramp(-0.12, 0.12, Math.sin(y / 34 + x / 110 + 3.2 * fold));
    return [0, 1, 2].map((c) => base[c]! + (other[c]! - base[c]!) * share) as unknown as Linear;
  };
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
