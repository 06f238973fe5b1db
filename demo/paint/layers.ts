import type { Stand, PaintedCoat, PaintedPiece } from './scene';
import { fbm, makeField, makeNoise, ramp, sampler, type Field, type Noise } from './noise';
import type { Random } from '../random';

/** Thickness of each coat at each pixel of the piece, in dips, and its edges for the relief. */
export interface Layer {
  readonly coat: PaintedCoat;
  readonly thickness: Float32Array;
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
  next: Random,
): Layer[] {
  const noise = makeNoise(next);
  const cloud = makeField(noise, stand.width, stand.height, 70, 62, 4);
  const streak = makeField(noise, stand.width, stand.height, 15, 300, 2);
  const crests = Float32Array.from({ length: stand.height }, (_, y) =>
    crest(piece.form, (stand.foot - y) / (stand.foot - stand.rim)),
  );
  return piece.coats.map((coat, i) => ({
    coat,
    thickness: thicknessOf(piece, stand, inside, across, coat, i, { noise, cloud, streak, crests }),
  }));
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
}

function thicknessOf(
  piece: PaintedPiece,
  stand: Stand,
  inside: Float32Array,
  across: Float32Array,
  coat: PaintedCoat,
  index: number,
  grain: Grain,
): Float32Array {
  const { noise, crests } = grain;
  const cloud = sampler(grain.cloud, index);
  const streak = sampler(grain.streak, index);
  const { width, height, rim, foot } = stand;
  const out = new Float32Array(width * height);
  const tall = foot - rim;
  const fluid = coat.slip ? 0 : coat.look.fluid;
  const flow = coat.slip ? 0.001 : (FLOW[movementAt(piece, coat)] ?? 0.003) * (0.7 + 0.5 * coat.dips);
  const y0 = index * 19.3;
  const seam = Float32Array.from({ length: height }, (_, y) => 0.006 * noise(y / 30, 3));
  for (let x = stand.left; x < stand.right; x++) {
    const s = x / 46;
    const wave = noise(s * 0.7, y0) * 0.006 + noise(s * 2.6, y0 + 4) * 0.0022;
    const fingers = Math.max(0, fbm(noise, s * 1.05, y0 + 9, 2) + 0.3);
    const lower = coat.from + noise(s * 0.8, y0 + 2) * 0.005 - flow * (0.25 + fingers ** 2.4 * 2.4);
    const upper = coat.to >= 0.995 ? 1.1 : coat.to + wave - flow * 0.25;
    const drawn = fingers ** 2 * fluid;
    for (let y = rim; y < foot; y++) {
      const i = y * width + x;
      const depth = inside[i]!;
      if (depth <= 0) continue;
      if ((coat.side === 'left' && across[i]! > seam[y]!) || (coat.side === 'right' && across[i]! < seam[y]!))
        continue;
      const t = (foot - y) / tall;
      const above = t - lower;
      const below = upper - t;
      if (above <= 0 || below <= 0) continue;
      const edge = ramp(0, 0.006, above) * ramp(0, 0.007, below);
      const bead =
        coat.slip || above > 0.08
          ? 0
          : (0.25 + 0.7 * fluid + drawn * 0.7) * Math.exp(-((above / (0.011 + 0.02 * flow)) ** 2));
      const thinTop = below > 0.3 ? 1 : 1 - (0.2 + 0.35 * fluid) * Math.exp(-Math.max(0, below) / 0.05);
      const thinSide = depth > 0.1 ? 1 : 1 - (0.25 + 0.45 * fluid) * Math.exp(-depth / 0.018);
      const onCrest = 1 - (0.18 + 0.72 * fluid) * crests[y]!;
      const uneven = 1 + coat.look.mottle * 0.8 * cloud(x, y) + coat.look.streak * 0.6 * streak(x, y);
      out[i] = Math.max(
        0,
        coat.dips * edge * thinTop * thinSide * onCrest * uneven + bead * edge * Math.min(1.4, coat.dips),
      );
    }
  }
  return out;
}
