import type { Stack, Way } from '../coats';

/** Thickness of one application in mm, raw and fired. */
export interface CoatThickness {
  readonly raw: number;
  readonly fired: number;
}

/**
 * Thickness of one application: a 3 s dip at a specific gravity of 1.45 on ordinary bisque, and a brushed coat, a
 * third of it. Starting figures, from memory; measured ones win. Null where nobody has a figure: it is not known until
 * it is measured.
 */
export const COAT_THICKNESS = {
  dipped: { raw: 0.6, fired: 0.3 },
  brushed: { raw: 0.2, fired: 0.1 },
  poured: null,
  sprayed: null,
  trailed: null,
  sponged: null,
  inlaid: null,
  scattered: null,
  dusted: null,
  applied: null,
} as const satisfies Readonly<Record<Way, CoatThickness | null>>;

/**
 * Estimated fired thickness of a stack, mm; slips and wiped coats count for nothing.
 *
 * @returns null when a layer was laid on in a way whose thickness is not known, or does not cover its stretch
 * @example firedThickness([{ glaze: 'Lamp Clear', times: 2, way: 'dipped' }]) // 0.6
 * @example firedThickness([{ glaze: 'Lamp Clear', times: 2, way: 'sprayed' }]) // null
 */
export function firedThickness(stack: Stack): number | null {
  let sum = 0;
  for (const { slip, mark, cover, way = 'dipped', times } of stack) {
    if (slip || mark) continue;
    if (cover) return null;
    const one = COAT_THICKNESS[way];
    if (!one) return null;
    sum += times * one.fired;
  }
  return sum;
}
