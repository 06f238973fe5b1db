import { COAT_THICKNESS } from '../fit';
import type { Cell } from './model';

/** Density of the porous layer of raw glaze, g/cm³ (1.2 to 1.7, from memory). */
export const POROUS_DENSITY = 1.45;

/** Plastic clay, g/cm³, and the wall of a test tile, mm (common practice, no source). */
const CLAY = { density: 1.9, wallMm: 7 } as const;

/** Foot flange and trimmings of a thrown ring, share on top of its wall (common practice, no source). */
const RING_FOOT = 0.3;

/** Room a tile takes on a shelf besides its own foot, mm each way. */
const GAP = 10;
const TILE_DEPTH = 40;

export interface TileSize {
  readonly heightMm: number;
  readonly widthMm: number;
}

export interface Needs {
  /** Pieces in all, twins counted. */
  readonly pieces: number;
  readonly clayGrams: number;
  /** Thrown rings of that weight, when cut into strips. */
  readonly rings: number;
  readonly strips: number;
  /** Dry grams laid on the pieces by glaze. */
  readonly glazeGrams: Readonly<Record<string, number>>;
  readonly shelfCm2: number;
}

/**
 * What a round takes: pieces, clay, dry glaze on the pieces, room on the shelves. Amounts laid on are
 * calculated with the porous layer: area × raw thickness × 1.45 g/cm³.
 *
 * @param twins pieces of each cell
 * @param ringGrams weight of a thrown ring, 1000 to 2000
 */
export function needsOf(
  cells: readonly Cell[],
  twins: number,
  { heightMm, widthMm }: TileSize,
  ringGrams = 1500,
): Needs {
  const pieces = cells.length * twins;
  const faceCm2 = (heightMm * widthMm) / 100;
  const eachGrams = faceCm2 * (CLAY.wallMm / 10) * CLAY.density;
  const strips = stripsOfRing(ringGrams, { heightMm, widthMm });
  const glazeGrams: Record<string, number> = {};
  for (const cell of cells) {
    const dips = cell.stack?.reduce((sum, layer) => sum + layer.times, 0) ?? 1;
    const grams = faceCm2 * (COAT_THICKNESS.dipped.raw / 10) * POROUS_DENSITY * dips * twins;
    for (const [glaze, part] of Object.entries(cell.parts))
      if (part > 0) glazeGrams[glaze] = (glazeGrams[glaze] ?? 0) + grams * part;
  }
  return {
    pieces,
    clayGrams: pieces * eachGrams,
    rings: Math.ceil(pieces / Math.max(1, strips)),
    strips,
    glazeGrams,
    shelfCm2: (pieces * (widthMm + GAP) * (TILE_DEPTH + GAP)) / 100,
  };
}

/**
 * How many strips one thrown ring gives.
 *
 * @example stripsOfRing(1500, { heightMm: 90, widthMm: 45 }) // 21
 */
export function stripsOfRing(grams: number, { heightMm, widthMm }: TileSize): number {
  const perCm = CLAY.density * (CLAY.wallMm / 10) * (heightMm / 10) * (1 + RING_FOOT);
  return Math.floor(grams / perCm / (widthMm / 10));
}

/** Height of one layer of a kiln, posts and shelf, cm (common practice, no source). */
const LAYER_CM = 20;
const FILL = 0.85;

/** How many loads of a kiln that much shelf room takes. */
export function loadsOf(
  shelfCm2: number,
  kiln: { readonly litres: number; readonly shelves: number },
): number {
  const shelf = (kiln.litres * 1000) / (kiln.shelves * LAYER_CM);
  return Math.ceil(shelfCm2 / (shelf * kiln.shelves * FILL));
}
