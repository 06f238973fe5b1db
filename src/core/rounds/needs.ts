import { COAT_THICKNESS } from '../fit';
import type { Cell } from './model';

/** Density of the porous layer of raw glaze, g/cm³ (1.2 to 1.7, from memory). */
export const POROUS_DENSITY = 1.45;

/** Plastic clay, g/cm³, and the wall of a test tile, mm (common practice, no source). */
const CLAY = { density: 1.9, wallMm: 7 } as const;

/** Both faces and the edges of a dipped tile, in faces (common practice, no source). */
const DIPPED_FACES = 2.4;

/** Clay that trimming takes off a thrown ring, share on top of what stays (common practice, no source). */
const TRIMMINGS = 0.1;

/** Room a tile takes on a shelf besides its own foot, mm each way. */
const GAP = 10;
const TILE_DEPTH = 40;

export interface TileSize {
  readonly heightMm: number;
  readonly widthMm: number;
}

/** A thrown ring that is cut into strips, mm: how wide across, and its foot, which lies on the wheel. */
export interface Ring {
  readonly diameterMm: number;
  readonly flangeMm: number;
}

/** A ring of a wheel head as most have it (common practice, no source). */
export const USUAL_RING: Ring = { diameterMm: 300, flangeMm: 30 };

export interface NeedsOptions {
  /** The rings that strips are cut from; none for tiles. */
  readonly ring?: Ring | undefined;
  /** Whether all but the face is waxed, so that a dip leaves glaze on the face alone. */
  readonly isWaxed?: boolean;
}

export interface Needs {
  /** Pieces in all, twins counted. */
  readonly pieces: number;
  readonly clayGrams: number;
  /** Thrown rings, the strips of each and the clay for one, g; 0 where nothing is cut from a ring. */
  readonly rings: number;
  readonly strips: number;
  readonly ringGrams: number;
  /** Dry grams laid on the pieces by glaze. */
  readonly glazeGrams: Readonly<Record<string, number>>;
  readonly shelfCm2: number;
}

/**
 * What a round takes: pieces, clay, dry glaze on the pieces, room on the shelves. A dip leaves glaze on both faces and
 * the edges, 2.4 times the face, unless they are waxed. Amounts laid on are calculated with the porous layer: area ×
 * raw thickness × 1.45 g/cm³.
 *
 * @param twins pieces of each cell
 */
export function needsOf(
  cells: readonly Cell[],
  twins: number,
  { heightMm, widthMm }: TileSize,
  { ring, isWaxed = false }: NeedsOptions = {},
): Needs {
  const pieces = cells.length * twins;
  const faceCm2 = (heightMm * widthMm) / 100;
  const dippedCm2 = faceCm2 * (isWaxed ? 1 : DIPPED_FACES);
  const strips = ring ? stripsOfRing(ring, widthMm) : 0;
  const rings = strips > 0 ? Math.ceil(pieces / strips) : 0;
  const ringGrams = ring ? gramsOfRing(ring, heightMm) : 0;
  const glazeGrams: Record<string, number> = {};
  for (const cell of cells) {
    const dips = cell.stack?.reduce((sum, layer) => sum + layer.times, 0) ?? 1;
    const grams = dippedCm2 * (COAT_THICKNESS.dipped.raw / 10) * POROUS_DENSITY * dips * twins;
    for (const [glaze, part] of Object.entries(cell.parts))
      if (part > 0) glazeGrams[glaze] = (glazeGrams[glaze] ?? 0) + grams * part;
  }
  return {
    ...{ pieces, rings, strips, ringGrams, glazeGrams },
    clayGrams: ring ? rings * ringGrams : pieces * slabGrams(faceCm2),
    shelfCm2: (pieces * (widthMm + GAP) * (TILE_DEPTH + GAP)) / 100,
  };
}

/** Plastic clay of a tile of a face, g. @example slabGrams(60) // 79.8 */
function slabGrams(faceCm2: number): number {
  return faceCm2 * (CLAY.wallMm / 10) * CLAY.density;
}

/**
 * How many strips one thrown ring gives: as many widths as go around it.
 *
 * @example stripsOfRing({ diameterMm: 300, flangeMm: 30 }, 45) // 20
 */
export function stripsOfRing({ diameterMm }: Ring, widthMm: number): number {
  return Math.floor((Math.PI * diameterMm) / widthMm + 1e-9);
}

/**
 * Clay for one thrown ring, g: its wall and its foot around the wheel, with what trimming takes off.
 *
 * @param heightMm of its wall
 */
export function gramsOfRing({ diameterMm, flangeMm }: Ring, heightMm: number): number {
  const around = (Math.PI * diameterMm) / 10;
  const section = ((heightMm + flangeMm) / 10) * (CLAY.wallMm / 10);
  return around * section * CLAY.density * (1 + TRIMMINGS);
}

/**
 * How many pieces a bag of clay gives.
 *
 * @param each grams of one
 * @example piecesOfBag(12_500, 420) // 29
 */
export function piecesOfBag(bagGrams: number, each: number): number {
  return each > 0 ? Math.floor(bagGrams / each) : 0;
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
