import { areaOfBand, wayOf } from '../coats';
import { COAT_THICKNESS } from '../fit';
import { formShape, type Measures } from '../vocabulary';
import { MIXTURE, type Cell } from './model';
import { usualBand } from './pattern';

/** Density of the porous layer of raw glaze, g/cm³ (1.2 to 1.7, from memory). */
export const POROUS_DENSITY = 1.45;

/** Plastic clay, g/cm³, and the wall of a test tile, mm (common practice, no source). */
const CLAY = { density: 1.9, wallMm: 7 } as const;

/** Both faces and the edges of a dipped tile, in faces (common practice, no source). */
const DIPPED_FACES = 2.4;

/** Clay that trimming takes off a thrown ring, share on top of what stays (common practice, no source). */
const TRIMMINGS = 0.1;

/** Room a piece takes on a shelf besides its own foot, mm each way. */
const GAP = 10;

/** The least depth of a standing tile with its foot, mm (common practice, no source). */
const TILE_DEPTH = 40;

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
  /** Clay for one piece, g, where the studio says so. */
  readonly clayGrams?: number | null | undefined;
}

export interface Needs {
  /** Pieces in all, twins counted. */
  readonly pieces: number;
  readonly clayGrams: number;
  /** Thrown rings, the strips of each and the clay for one, g; 0 where nothing is cut from a ring. */
  readonly rings: number;
  readonly strips: number;
  readonly ringGrams: number;
  /** Dry grams laid on the pieces by glaze; null where the thickness of a coat of it is not known. */
  readonly glazeGrams: Readonly<Record<string, number | null>>;
  readonly shelfCm2: number;
}

/**
 * What a round takes: pieces, clay, dry glaze on the pieces, room on the shelves. A dip leaves glaze on both faces of a
 * tile and its edges, 2.4 times the face, unless they are waxed. Amounts laid on are calculated with the porous layer:
 * area × raw thickness × 1.45 g/cm³. Clay of a vessel nobody weighed is its wall, 7 mm thick.
 *
 * @param twins pieces of each cell
 */
export function needsOf(
  cells: readonly Cell[],
  twins: number,
  piece: Measures,
  { ring, isWaxed = false, clayGrams }: NeedsOptions = {},
): Needs {
  const pieces = cells.length * twins;
  const { isFlat } = formShape(piece.form);
  const strips = ring ? stripsOfRing(ring, piece.widthMm) : 0;
  const rings = strips > 0 ? Math.ceil(pieces / strips) : 0;
  const ringGrams = ring ? gramsOfRing(ring, piece.heightMm) : 0;
  const glazeGrams: Record<string, number | null> = {};
  for (const cell of cells)
    for (const [glaze, grams] of laidOn(cell, piece, isWaxed)) {
      const before = glazeGrams[glaze] === undefined ? 0 : glazeGrams[glaze];
      glazeGrams[glaze] = before === null || grams === null ? null : before + grams * twins;
    }
  const each = clayGrams ?? wallGrams(areaOfBand(piece, isFlat ? 'outside' : 'inside', 0, 1));
  return {
    ...{ pieces, rings, strips, ringGrams, glazeGrams },
    clayGrams: ring ? rings * ringGrams : pieces * each,
    shelfCm2: pieces * footCm2(piece),
  };
}

/** Dry grams of each glaze on one piece of a cell; of a mixture by its corners. */
function laidOn(cell: Cell, piece: Measures, isWaxed: boolean): [string, number | null][] {
  const { isFlat } = formShape(piece.form);
  return (cell.stack ?? [{ glaze: MIXTURE, times: 1 }]).flatMap(({ glaze, times, method = 'dip', bands }) => {
    // What is dipped but for its foot is reckoned whole: the foot is wiped.
    const where = bands ?? [{ ...usualBand(piece), from: 0, to: 1 }];
    const face = where.reduce((sum, { side, from, to }) => sum + areaOfBand(piece, side, from, to), 0);
    const faces = isFlat && method === 'dip' && !isWaxed ? DIPPED_FACES : 1;
    const thickness = COAT_THICKNESS[wayOf(method)];
    const grams = thickness && face * faces * (thickness.raw / 10) * POROUS_DENSITY * times;
    if (glaze !== MIXTURE) return [[glaze, grams]];
    return Object.entries(cell.parts)
      .filter(([, part]) => part > 0)
      .map(([corner, part]): [string, number | null] => [corner, grams && grams * part]);
  });
}

/** Room of one piece on a shelf, cm²: a standing tile with its foot, or the square about a vessel. */
function footCm2({ form, widthMm }: Measures): number {
  const { shelfDepthMm } = formShape(form);
  const depth = shelfDepthMm === null ? widthMm : Math.max(shelfDepthMm, TILE_DEPTH);
  return ((widthMm + GAP) * (depth + GAP)) / 100;
}

/** Plastic clay of a wall, g. @example wallGrams(60) // 79.8 */
function wallGrams(faceCm2: number): number {
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
