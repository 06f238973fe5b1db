import { shapeOf as formOf } from '@/core/vocabulary';
import { random } from '../random';
import { bareClay, colourOf } from './colour';
import { drawDefects, type Hole } from './defects';
import { crest, layersOf } from './layers';
import { blurred, develop, lightIt, shineOf } from './light';
import { fbm, makeField, makeNoise, makePattern, rowsOf } from './noise';
import { addHandle, combsOf, openHoles, radiusAt } from './masks';
import { standOf, type PaintedPiece, type Stand } from './scene';

export type { PaintedCoat, PaintedPiece, PaintedZone } from './scene';
export type { BodyLook } from './looks';
export { BODY_LOOKS, GLAZE_LOOKS } from './looks';

/** A painted photograph as raw sRGB bytes, and where the piece stands in it (fractions). */
export interface Picture {
  readonly data: Buffer;
  readonly width: number;
  readonly height: number;
  readonly frame: {
    readonly left: number;
    readonly right: number;
    readonly rim: number;
    readonly foot: number;
  };
  /** Pits and pinholes as they were drawn, px. */
  readonly holes: readonly Hole[];
}

interface Shape {
  /** Distance in from the outline as a share of the width; 0 outside. */
  readonly inside: Float32Array;
  /** −1 at the left outline to 1 at the right. */
  readonly across: Float32Array;
  /** Slope of the form across, −1 to 1. */
  readonly bow: Float32Array;
  /** 1 where its handle is. */
  readonly isHandle: Uint8Array;
}

/**
 * Paints a believable photograph of a fired piece on neutral grey: clay, coats by thickness, relief, the
 * defects its record claims, and light from the upper left. The same piece and seed give the same bytes.
 */
export function paint(piece: PaintedPiece, pictureHeight?: number): Picture {
  const next = random(piece.seed);
  const stand = standOf(piece, pictureHeight);
  const shape = shapeOf(piece, stand);
  const layers = layersOf(piece, stand, shape.inside, shape.across, shape.isHandle, next);
  const bare = bareClay(piece, stand, shape.inside, next);
  const painting = colourOf(piece, stand, shape.inside, bare, layers, next);
  const relief = reliefOf(piece, stand, shape, layers, painting.gloss, next);
  const shine = shineAt(piece, stand, shape, painting.gloss);
  const holes = drawDefects({ piece, stand, painting, bare, relief, shine, inside: shape.inside, next });
  lightIt(painting, stand, shape.inside, relief, shape.bow, shine);
  const { width, height } = stand;
  const frame = {
    left: stand.left / width,
    right: stand.right / width,
    rim: stand.rim / height,
    foot: stand.foot / height,
  };
  const data = develop(painting, stand, shape.inside, next);
  openHoles(data, piece, stand);
  return { data, width, height, frame, holes };
}

/** Lies flat: no bow across. */
const lies = (form: PaintedPiece['form']) => formOf({ form }).isFlat || formOf({ form }).plan;

function shapeOf(piece: PaintedPiece, stand: Stand): Shape {
  const { width, height, left, right, rim, foot } = stand;
  const [inside, across, bow] = [0, 1, 2].map(() => new Float32Array(width * height)) as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const { halfWidth, plan } = formOf(piece);
  const middle = (left + right) / 2;
  const half = (right - left) / 2;
  const round = !lies(piece.form);
  for (let y = rim; y < foot; y++) {
    const t = (foot - y - 0.5) / (foot - rim);
    // A hand-cut corner is a little round.
    const corner = Math.max(0, 1 - Math.min(y - rim, foot - 1 - y) / 7);
    const reach = plan ? Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2)) : halfWidth(t);
    const out = half * reach - 5 * corner * corner;
    for (let x = Math.ceil(middle - out); x < middle + out; x++) {
      const i = y * width + x;
      const u = (x + 0.5 - middle) / out;
      across[i] = u;
      const toSide = out * (1 - Math.abs(u));
      inside[i] = Math.min(toSide, y - rim + 1, foot - y) / (right - left);
      if (round) bow[i] = u * Math.abs(u) ** 0.6;
    }
  }
  return { inside, across, bow, isHandle: addHandle(piece, stand, { inside, across, bow }) };
}

const clayGrain = makePattern(
  'clay grain',
  (noise, x, y) => 0.9 * noise(x / 1.7, y / 1.7) + 0.9 * fbm(noise, x / 7, y / 7, 2),
);

/** Height of the surface: rounded edges, texture, clay grain where it is not melted smooth, and the coats. */
function reliefOf(
  piece: PaintedPiece,
  stand: Stand,
  shape: Shape,
  layers: ReturnType<typeof layersOf>,
  gloss: Float32Array,
  next: () => number,
): Float32Array {
  const { width, rim, foot } = stand;
  const wide = stand.right - stand.left;
  const noise = makeNoise(next);
  const rough = new Float32Array(shape.inside.length);
  const melt = new Float32Array(shape.inside.length);
  for (const { coat, thickness, top, bottom } of layers) {
    const rise = coat.slip ? 1.2 : 2.2 - 0.5 * coat.look.streak;
    for (let i = top * width; i < bottom * width; i++) melt[i]! += thickness[i]! * rise;
  }
  const levelled = blurred(melt, width, stand.height, 2);
  const handRow = rowsOf(makeField('hand', 150, 150, 2), width, next);
  const crests = Float32Array.from({ length: stand.height }, (_, y) =>
    crest(piece.form, (foot - y) / (foot - rim)),
  );
  const grainAt = clayGrain(next);
  const combs = combsOf(piece, stand, noise);
  const round = !lies(piece.form);
  const throwing = Float32Array.from({ length: stand.height }, (_, y) => {
    const t = (foot - y) / (foot - rim);
    return round ? 0.5 * Math.sin(t * 88 + 0.7 * noise(1, t * 12)) : 0;
  });
  for (let y = rim; y < foot; y++) {
    const hand = handRow(y);
    for (let x = stand.left, i = y * width + x; x < stand.end; x++, i++) {
      const depth = shape.inside[i]!;
      if (depth <= 0) continue;
      const px = depth * wide;
      const edge = px < 9 ? -((9 - px) ** 2) * 0.07 : 0;
      const bareness = 1 - gloss[i]!;
      const grain = bareness < 0.05 ? 0 : bareness * piece.body.grain * grainAt(x, y);
      rough[i] =
        edge +
        grain +
        throwing[y]! +
        2.4 * hand[x]! +
        (crests[y]! + (combs?.[i] ?? 0) * 0.8) * 3.6 * (1 - 0.25 * Math.min(1, melt[i]! / 5)) +
        levelled[i]!;
    }
  }
  return rough;
}

/** How much each pixel shines: the surface word of its zone where glaze lies. */
function shineAt(piece: PaintedPiece, stand: Stand, shape: Shape, gloss: Float32Array): Float32Array {
  const { width, rim, foot } = stand;
  const shine = new Float32Array(gloss.length);
  const { plan } = formOf(piece);
  const shineBeside = (side: 'left' | 'right', t: number) =>
    shineOf(
      piece.zones.find((z) => t >= z.from && t <= z.to && (z.side === 'outside' || z.side === side))
        ?.surface ?? null,
    );
  for (let y = rim; y < foot; y++) {
    const t = (foot - y) / (foot - rim);
    const left = shineBeside('left', t);
    const right = shineBeside('right', t);
    for (let x = stand.left, i = y * width + x; x < stand.end; x++, i++) {
      if (shape.inside[i]! <= 0) continue;
      const here = plan
        ? shineBeside('left', Math.min(1, radiusAt(stand, x, y)))
        : shape.across[i]! <= 0
          ? left
          : right;
      shine[i] = gloss[i]! * (gloss[i]! < 0.3 ? 0.3 : here);
    }
  }
  return shine;
}
