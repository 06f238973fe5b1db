import { formShape, reachMm, type Band, type Measures, type Method, type Side } from '../vocabulary';
import type { WrittenArea, WrittenCoat } from './model';

/** One coat of a way of glazing. */
export interface PatternCoat extends Band, Pick<WrittenCoat, 'area' | 'not' | 'wiped' | 'cover'> {
  /** Which of the glazes it is of, 0 = the one put on first. */
  readonly glaze: number;
  /** Null for the glaze's usual way, as of `times`. */
  readonly method: Method | null;
  readonly times: number | null;
}

/** A glaze that a way of glazing takes. */
export interface PatternGlaze {
  /** What it is for. */
  readonly role: string;
  /** Its coats are left out where none is named. */
  readonly isOptional: boolean;
}

/** A named way of glazing: where each of its glazes goes, in the order of work. */
export interface GlazingPattern {
  readonly name: string;
  readonly glazes: readonly PatternGlaze[];
  readonly areas: readonly WrittenArea[];
  /** Its coats on a piece; null on a form that it cannot be put on. */
  readonly coatsOn: (piece: Measures) => readonly PatternCoat[] | null;
}

/** A way of glazing that the studio named. */
export interface OwnPattern {
  readonly name: string;
  readonly areas: readonly WrittenArea[];
  readonly coats: readonly PatternCoat[];
}

type Bands = (piece: Measures) => readonly Band[] | null;

/** The side that is seen first; of flat ware that is its upper face. */
const outer = ({ form }: Measures): Side => formShape(form).sides[0]!;
const everySide: Bands = ({ form }) => formShape(form).sides.map((side) => ({ side, from: 0, to: 1 }));
/** A stretch of the height; flat ware has none. */
const stretch =
  (from: number, to: number): Bands =>
  (piece) =>
    formShape(piece.form).plan ? null : [{ side: outer(piece), from, to }];
const whole =
  (side: 'inside' | 'outside'): Bands =>
  ({ form }) => {
    const { sides, isFlat } = formShape(form);
    return !isFlat && sides.includes(side) ? [{ side, from: 0, to: 1 }] : null;
  };
const inside = whole('inside');

const RIM_MM = 10;
const rim: Bands = (piece) => [{ side: outer(piece), from: Math.max(0, 1 - RIM_MM / reachMm(piece)), to: 1 }];
const insideAndRim: Bands = (piece) => {
  const liner = inside(piece);
  return liner && (formShape(piece.form).plan ? liner : [...liner, ...rim(piece)!]);
};

interface UsualGlaze {
  readonly role: string;
  readonly bands: Bands;
}

function usual(
  name: string,
  glazes: readonly UsualGlaze[],
  more: readonly UsualGlaze[] = [],
): GlazingPattern {
  const all = [...glazes, ...more];
  const roles = [...new Set(all.map(({ role }) => role))];
  const isOptional = (role: string) => glazes.every((glaze) => glaze.role !== role);
  return {
    name,
    glazes: roles.map((role) => ({ role, isOptional: isOptional(role) })),
    areas: [],
    coatsOn: (piece) => {
      if (glazes.some(({ bands }) => bands(piece) === null)) return null;
      return all.flatMap(({ role, bands }) =>
        (bands(piece) ?? []).map((band) => ({
          ...{ glaze: roles.indexOf(role), method: null, times: null },
          ...{ area: null, not: [], wiped: false, cover: null },
          ...band,
        })),
      );
    },
  };
}

const LINER: UsualGlaze = { role: 'liner', bands: inside };

/** The ways of glazing that everybody knows; those of the studio's own stand beside them. */
export const USUAL_PATTERNS: readonly GlazingPattern[] = [
  usual('all over', [{ role: 'glaze', bands: everySide }]),
  usual('under all over, over inside and rim', [
    { role: 'under', bands: everySide },
    { role: 'over', bands: insideAndRim },
  ]),
  usual('under all over, over on the upper half', [
    { role: 'under', bands: everySide },
    { role: 'over', bands: stretch(1 / 2, 1) },
  ]),
  usual(
    'thirds: lower two, upper two',
    [
      { role: 'under', bands: stretch(0, 2 / 3) },
      { role: 'over', bands: stretch(1 / 3, 1) },
    ],
    [LINER],
  ),
  usual('liner and outside', [LINER, { role: 'outside', bands: whole('outside') }]),
  usual('once, twice above', [
    { role: 'glaze', bands: everySide },
    { role: 'glaze', bands: stretch(1 / 2, 1) },
  ]),
];

/** A way of glazing of the studio's own, for pieces of any form that has its sides. */
export function ownPattern({ name, areas, coats }: OwnPattern): GlazingPattern {
  const count = Math.max(0, ...coats.map(({ glaze }) => glaze + 1));
  return {
    name,
    glazes: Array.from({ length: count }, (_, i) => ({ role: `glaze ${i + 1}`, isOptional: false })),
    areas,
    coatsOn: ({ form }) => {
      const { sides, canSplit } = formShape(form);
      const hasSide = (side: Side) =>
        sides.includes(side) || (canSplit && (side === 'left' || side === 'right'));
      return coats.every(({ side }) => hasSide(side)) ? coats : null;
    },
  };
}

/**
 * The way a piece is glazed, its glazes numbered in the order they were put on. Coats that were put on after its first
 * glaze firing are left out.
 */
export function patternOf(
  name: string,
  {
    areas,
    coats,
  }: {
    readonly areas: readonly WrittenArea[];
    readonly coats: readonly (Omit<WrittenCoat, 'glazeKind'> & { readonly firingId: string | null })[];
  },
): OwnPattern {
  const raw = coats.filter(({ firingId }) => firingId === coats[0]!.firingId);
  const glazes = [...new Set(raw.map(({ glazeId }) => glazeId))];
  return {
    name,
    areas,
    coats: raw.map(({ glazeId, side, from, to, method, times, area, not, wiped, cover }) => ({
      ...{ glaze: glazes.indexOf(glazeId), side, from, to, method, times, area, not, wiped, cover },
    })),
  };
}
