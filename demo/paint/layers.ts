import type { Stand, PaintedCoat, PaintedPiece } from './scene';
import { decay, fbm, makeField, makeNoise, ramp, rowsOf, type Field, type Noise } from './noise';
import type { Random } from '../random';
import { combsOf, coverAt, placeOf, radiusAt } from './masks';
import { formShape } from '@/core/vocabulary';

/** Thickness of each coat at each pixel of the piece, in dips, and its edges for the relief. */
export interface Layer {
  readonly coat: PaintedCoat;
  readonly thickness: Float32Array;
  /** The rows of the picture it lies in: from `top` to before `bottom`. */
  readonly top: number;
  readonly bottom: number;
}

/** Heights of the pressed texture bands and how far they stand out. */
const BANDS = [0.685, 0.715, 0.745];

/** 1 on the crest of a texture band, 0 between them; only flat forms and strips are textured. */
export function crest(form: string, t: number): number {
  if (form !== 'tile' && form !== 'ring strip') return 0;
  let most = 0;
  for (const at of BANDS) most = Math.max(most, Math.exp(-(((t - at) / 0.0055) ** 2)));
  return most;
}

const FLOW: Readonly<Record<string, number>> = { stable: 0.003, moves: 0.014, runs: 0.045 };

/**
 * Works out how thick each coat lies: wavy dip lines, fingers that run by movement, thin on edges, rims and
 * texture, a bead where it stopped.
 *
 * @param inside for each pixel of the picture, its distance in from the outline (0 outside), fraction of the width
 * @param across −1 at the left outline to 1 at the right
 */
export function layersOf(
  piece: PaintedPiece,
  stand: Stand,
  inside: Float32Array,
  across: Float32Array,
  isHandle: Uint8Array,
  next: Random,
): Layer[] {
  const noise = makeNoise(next);
  const cloud = makeField('mottle', 70, 62, 4);
  const streak = makeField('streaks', 15, 300, 2);
  const crests = Float32Array.from({ length: stand.height }, (_, y) =>
    crest(piece.form, (stand.foot - y) / (stand.foot - stand.rim)),
  );
  const combs = combsOf(piece, stand, noise);
  return piece.coats.map((coat, i) =>
    layerOf(piece, stand, inside, across, coat, i, {
      ...{ noise, cloud, streak, crests, combs, next },
      place: placeOf(coat, piece, stand, isHandle),
    }),
  );
}

function movementAt(piece: PaintedPiece, coat: PaintedCoat): string {
  const touched = piece.zones.filter(
    (zone) =>
      (zone.side === coat.side || coat.side === 'outside') && zone.from < coat.to && zone.to > coat.from,
  );
  return (
    touched.find((zone) => zone.movement === 'runs')?.movement ??
    touched.find((zone) => zone.movement === 'moves')?.movement ??
    'stable'
  );
}

interface Grain {
  readonly noise: Noise;
  readonly cloud: Field;
  readonly streak: Field;
  readonly crests: Float32Array;
  /** Ridges of a comb by pixel, and where the coat may lie; null for none, and for everywhere. */
  readonly combs: Float32Array | null;
  readonly place: Uint8Array | null;
  readonly next: Random;
}

function layerOf(
  piece: PaintedPiece,
  stand: Stand,
  inside: Float32Array,
  across: Float32Array,
  coat: PaintedCoat,
  index: number,
  grain: Grain,
): Layer {
  const { noise, crests, combs, place } = grain;
  const cover = coverAt(coat, noise);
  const rise = coat.cover?.kind === 'slope' ? coat.cover.rise : 0;
  const cloudRow = rowsOf(grain.cloud, stand.width, grain.next);
  const streakRow = rowsOf(grain.streak, stand.width, grain.next);
  const { width, height, rim, foot } = stand;
  const out = new Float32Array(width * height);
  const tall = foot - rim;
  const fluid = coat.slip ? 0 : coat.look.fluid;
  const flow = coat.slip ? 0.001 : (FLOW[movementAt(piece, coat)] ?? 0.003) * (0.7 + 0.5 * coat.dips);
  const mottle = coat.look.mottle * 0.8;
  const drawnOut = coat.look.streak * 0.6;
  const y0 = index * 19.3;
  const columns = stand.end - stand.left;
  const lower = new Float32Array(columns);
  const upper = new Float32Array(columns);
  const drawn = new Float32Array(columns);
  for (let n = 0; n < columns; n++) {
    const s = (stand.left + n) / 46;
    const fingers = Math.max(0, fbm(noise, s * 1.05, y0 + 9, 2) + 0.3);
    const climb = rise * (n / columns);
    lower[n] =
      coat.from +
      (coat.from > 0 ? climb : 0) +
      noise(s * 0.8, y0 + 2) * 0.005 -
      flow * (0.25 + fingers ** 2.4 * 2.4);
    const wave = noise(s * 0.7, y0) * 0.006 + noise(s * 2.6, y0 + 4) * 0.0022;
    upper[n] = coat.to >= 0.995 ? 1.1 : coat.to - (rise - climb) + wave - flow * 0.25;
    drawn[n] = fingers ** 2 * fluid;
  }
  const { plan } = formShape(piece.form);
  const top = plan ? rim : Math.max(rim, Math.floor(foot - tall * Math.max(...upper)));
  const bottom = plan ? foot : Math.min(foot, Math.ceil(foot - tall * Math.min(...lower)) + 1);
  for (let y = top; y < bottom; y++) {
    const up = (foot - y) / tall;
    const thinned = 0.18 + 0.72 * fluid;
    const onBand = 1 - thinned * crests[y]!;
    const seam = 0.006 * noise(y / 30, 3);
    const cloud = cloudRow(y);
    const streak = streakRow(y);
    for (let n = 0, i = y * width + stand.left; n < columns; n++, i++) {
      const depth = inside[i]!;
      if (depth <= 0 || place?.[i] === 0) continue;
      const x = stand.left + n;
      // Flat ware lies: its bands are rings about its middle.
      const t = plan ? radiusAt(stand, x, y) : up;
      const above = t - lower[n]!;
      const below = upper[n]! - t;
      if (above <= 0 || below <= 0) continue;
      if ((coat.side === 'left' && across[i]! > seam) || (coat.side === 'right' && across[i]! < seam))
        continue;
      const edge = above > 0.006 && below > 0.007 ? 1 : ramp(0, 0.006, above) * ramp(0, 0.007, below);
      const bead =
        coat.slip || above > 0.08
          ? 0
          : (0.25 + 0.7 * fluid + drawn[n]! * 0.7) * decay((above / (0.011 + 0.02 * flow)) ** 2);
      const thinTop = below > 0.3 ? 1 : 1 - (0.2 + 0.35 * fluid) * decay(below / 0.05);
      const thinSide = depth > 0.1 ? 1 : 1 - (0.25 + 0.45 * fluid) * decay(depth / 0.018);
      const onCrest = combs ? onBand * (1 - thinned * combs[i]!) : onBand;
      const laid = cover ? cover(x, y, (t - coat.from) / (coat.to - coat.from)) : 1;
      const uneven = 1 + mottle * cloud[x]! + drawnOut * streak[x]!;
      out[i] = Math.max(
        0,
        laid *
          (coat.dips * edge * thinTop * thinSide * onCrest * uneven + bead * edge * Math.min(1.4, coat.dips)),
      );
    }
  }
  return { coat, thickness: out, top, bottom };
}
