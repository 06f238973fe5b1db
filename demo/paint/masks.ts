import { isInside, type Outline } from '@/core/coats';
import { HANDLE_THICKNESS, handleCurve, shapeOf, type FormShape } from '@/core/vocabulary';
import { handleOf, type PaintedCoat, type PaintedPiece, type Stand } from './scene';
import type { Noise } from './noise';

/** 1 within an outline, 0 elsewhere; it lies on the body as on its drawing. */
export function maskOf(outline: Outline, { width, height, left, right, rim, foot }: Stand): Uint8Array {
  const mask = new Uint8Array(width * height);
  for (let y = rim; y < foot; y++) {
    const up = (foot - y - 0.5) / (foot - rim);
    for (let x = left; x < right; x++)
      if (isInside(outline, (x + 0.5 - left) / (right - left), up)) mask[y * width + x] = 1;
  }
  return mask;
}

/** How far a place of flat ware is from its middle, 0 to 1 at the rim. */
export function radiusAt({ left, right, rim, foot }: Stand, x: number, y: number): number {
  const [across, up] = [
    (2 * (x + 0.5 - left)) / (right - left) - 1,
    (2 * (y + 0.5 - rim)) / (foot - rim) - 1,
  ];
  return Math.hypot(across, up);
}

/** Where a coat may lie: within its area, out of others, on the handle or off it; null for everywhere. */
export function placeOf(
  coat: PaintedCoat,
  piece: PaintedPiece,
  stand: Stand,
  isHandle: Uint8Array,
): Uint8Array | null {
  const without = coat.without ?? [];
  const isSplit = isHandle.includes(1) && (coat.onHandle || piece.hasOwnHandle);
  if (!coat.within && without.length === 0 && !isSplit) return null;
  const place = coat.within ? maskOf(coat.within, stand) : new Uint8Array(isHandle.length).fill(1);
  for (const outline of without) maskOf(outline, stand).forEach((free, i) => free && (place[i] = 0));
  if (isSplit) isHandle.forEach((on, i) => (place[i] = coat.onHandle ? on : on ? 0 : place[i]!));
  return place;
}

/** Distance between the dots of a pattern, px. */
const PITCH = 36;

/** How much of a coat lies at a place of its band, 0 to 1. */
export function coverAt(
  { cover }: PaintedCoat,
  noise: Noise,
): ((x: number, y: number, share: number) => number) | null {
  if (!cover || cover.kind === 'slope') return null;
  // Fading: full at one end, none at the other.
  if (cover.kind === 'fade') return (_x, _y, share) => (cover.towards === 'rim' ? 1 - share : share);
  const radius = PITCH * Math.sqrt(cover.percent / 100 / Math.PI);
  return (x, y) => {
    const row = Math.floor(y / PITCH);
    const dx = ((x + (row % 2) * (PITCH / 2)) % PITCH) - PITCH / 2 + noise(x / PITCH, row) * 3;
    const dy = (y % PITCH) - PITCH / 2;
    return Math.hypot(dx, dy) < radius ? 1 : 0;
  };
}

/** Teeth of a comb, px apart. */
const TEETH = 9;

/** 1 on the ridges that a comb left, 0 between them and where nobody combed; null where nothing is combed. */
export function combsOf({ combed = [] }: PaintedPiece, stand: Stand, noise: Noise): Float32Array | null {
  if (combed.length === 0) return null;
  const ridges = new Float32Array(stand.width * stand.height);
  for (const outline of combed) {
    const mask = maskOf(outline, stand);
    for (let y = stand.rim; y < stand.foot; y++)
      for (let x = stand.left, i = y * stand.width + x; x < stand.right; x++, i++)
        if (mask[i]) {
          const drawn = x * 0.9 + y * 0.35 + 5 * noise(x / 60, y / 60);
          ridges[i] = Math.max(0, Math.cos((drawn / TEETH) * 2 * Math.PI));
        }
  }
  return ridges;
}

/** Points along the middle of a handle, px, from its upper end; none for a form without one. */
function handleLine(shape: FormShape, { left, right, rim, foot }: Stand): [number, number][] {
  const handle = handleOf(shape);
  if (!handle) return [];
  const [middle, half] = [(left + right) / 2, (right - left) / 2];
  // A little within the wall, which hides its ends.
  const points = handleCurve(shape, handle).map(
    ([x, height]) => [middle + half * x - 6, foot - height * (foot - rim)] as const,
  );
  return Array.from({ length: 241 }, (_, i) => {
    const t = i / 240;
    const weights = [(1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t * t * (1 - t), t ** 3];
    const sum = (k: 0 | 1) => weights.reduce((all, weight, n) => all + weight * points[n]![k], 0);
    return [sum(0), sum(1)];
  });
}

/** Adds the handle of a form to its shape: a tube beside the wall. @returns 1 where it is */
export function addHandle(
  piece: PaintedPiece,
  stand: Stand,
  { inside, across, bow }: Readonly<Record<'inside' | 'across' | 'bow', Float32Array>>,
): Uint8Array {
  const isHandle = new Uint8Array(inside.length);
  const wide = stand.right - stand.left;
  const radius = (wide * HANDLE_THICKNESS) / 2;
  for (const [cx, cy] of handleLine(shapeOf(piece), stand))
    for (let y = Math.ceil(cy - radius); y <= cy + radius; y++)
      for (let x = Math.ceil(cx - radius); x <= cx + radius; x++) {
        const i = y * stand.width + x;
        const away = Math.hypot(x - cx, y - cy);
        if (away > radius || x >= stand.width || (inside[i]! > 0 && !isHandle[i])) continue;
        const depth = (radius - away) / wide;
        if (depth <= inside[i]!) continue;
        inside[i] = depth;
        across[i] = 0.9;
        bow[i] = ((x - cx) / radius) * 0.9;
        isHandle[i] = 1;
      }
  return isHandle;
}

/** Darkens the openings of a form: one looks through the wall into the dark. */
export function openHoles(data: Buffer, piece: PaintedPiece, stand: Stand): void {
  const { left, right, rim, foot, width } = stand;
  for (const part of shapeOf(piece).parts) {
    if (part.kind !== 'opening') continue;
    const [rx, ry] = [(part.wide * (right - left)) / 2, part.high * (foot - rim)];
    const cx = (left + right) / 2 + (part.x * (right - left)) / 2;
    const cy = foot - part.y * (foot - rim);
    for (let y = Math.max(rim, Math.ceil(cy - ry)); y < Math.min(foot, cy + ry); y++)
      for (let x = Math.ceil(cx - rx); x < cx + rx; x++) {
        const far = Math.hypot((x - cx) / rx, (y - cy) / ry);
        if (far >= 1) continue;
        // The thickness of the wall shows at the lower edge.
        const wall = Math.max(0, far - 0.8) * 5 * Math.max(0, (y - cy) / ry);
        const i = (y * width + x) * 3;
        for (let c = 0; c < 3; c++) data[i + c] = 30 + (data[i + c]! * 0.75 - 30) * wall;
      }
  }
}
