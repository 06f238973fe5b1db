import { formShape, shapeOf, type Measures, type Side } from '../vocabulary';
import type { WrittenArea } from './model';
import { outlineShare } from './outline';

/** Steps that a profile is walked in. */
const STEPS = 512;

/**
 * Area of a band of a thrown form: its profile turned about the axis, by straight steps between radii.
 *
 * @param radius mm at a height, 0 = foot to 1 = rim
 * @param heightMm of the form
 * @param from and to of the band, 0 to 1
 * @returns cm²
 * @example areaOfRevolution(() => 40, 100, 0, 1) // 251.3, a cylinder's wall: 2π·4·10
 */
export function areaOfRevolution(
  radius: (height: number) => number,
  heightMm: number,
  from: number,
  to: number,
): number {
  const step = (to - from) / STEPS;
  let area = 0;
  for (let i = 0; i < STEPS; i++) {
    const [low, high] = [radius(from + i * step), radius(from + (i + 1) * step)];
    // The wall of a cone frustum: π (r₁ + r₂) times its slant.
    area += Math.PI * (low + high) * Math.hypot(high - low, step * heightMm);
  }
  return area / 100;
}

/**
 * Area of a band on one side of a piece, cm². Flat forms: their face. Plates: a ring about the centre. Thrown
 * forms: the wall by the form's profile; inside, the floor is in the band that begins at the foot. Left and right
 * are half of it.
 *
 * @example areaOfBand({ form: 'tile', heightMm: 100, widthMm: 60 }, 'outside', 0, 0.5) // 30
 */
export function areaOfBand(piece: Measures, side: Side, from: number, to: number): number {
  const { heightMm, widthMm } = piece;
  const { halfWidth, plan, isFlat } = shapeOf(piece);
  const share = side === 'left' || side === 'right' ? 0.5 : 1;
  if (plan) return (share * Math.PI * (widthMm / 2) ** 2 * (to ** 2 - from ** 2)) / 100;
  if (isFlat) {
    const step = (to - from) / STEPS;
    let area = 0;
    for (let i = 0; i < STEPS; i++) area += halfWidth(from + (i + 0.5) * step) * step * heightMm * widthMm;
    return (share * area) / 100;
  }
  const radius = (height: number) => (halfWidth(height) * widthMm) / 2;
  const floor = side === 'inside' && from === 0 ? (Math.PI * radius(0) ** 2) / 100 : 0;
  return share * (areaOfRevolution(radius, heightMm, from, to) + floor);
}

/**
 * Surface of an area of a piece, cm²: its share of its band where somebody said it; else of one that was drawn what it
 * takes of the drawing (a curved wall is somewhat more); null where nobody said either.
 *
 * @example areaOfArea(tile, { ...logo, side: 'outside', from: 0, to: 0.5, share: 0.2 }) // 6, of a tile of 60
 */
export function areaOfArea(
  piece: Measures,
  { side, from, to, share, outline }: Pick<WrittenArea, 'side' | 'from' | 'to' | 'share' | 'outline'>,
): number | null {
  if (share !== null) return share * areaOfBand(piece, side ?? 'outside', from, to);
  if (!outline) return null;
  const { plan } = formShape(piece.form);
  const box = plan ? piece.widthMm ** 2 : piece.widthMm * piece.heightMm;
  return (outlineShare(outline) * box) / 100;
}
