import type { Stack, Way } from '../coats';

/**
 * Thickness of one application in mm, raw and fired: a 3 s dip at a specific gravity of 1.45 on ordinary
 * bisque, and a brushed coat, a third of it. Starting figures, from memory; measured ones win.
 */
export const COAT_THICKNESS: Readonly<Record<Way, { readonly raw: number; readonly fired: number }>> = {
  dipped: { raw: 0.6, fired: 0.3 },
  brushed: { raw: 0.2, fired: 0.1 },
};

/**
 * Estimated fired thickness of a stack, mm; slips, resists and wiped coats count for nothing.
 *
 * @example firedThickness([{ glaze: 'Lamp Clear', times: 2, way: 'dipped' }]) // 0.6
 */
export function firedThickness(stack: Stack): number {
  return stack
    .filter((layer) => !layer.slip && !layer.mark)
    .reduce((sum, layer) => sum + layer.times * COAT_THICKNESS[layer.way ?? 'dipped'].fired, 0);
}
