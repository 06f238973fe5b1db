import {
  ladderForecast,
  riskByCoats,
  riskByLayers,
  type CoatsRisk,
  type LayersRisk,
  type Rung,
} from '@/core/clinic';
import type { MaterialBook } from '@/core/chemistry';
import type { DefectId } from '@/core/vocabulary';
import type { FiredZoneFacts } from '@/core/evidence';
import type { PieceCase } from '@/records/clinic';

/** What is likely to come of doing it otherwise. */
export type Forward =
  | {
      readonly kind: 'ladder';
      readonly glaze: string;
      readonly body: string;
      readonly rungs: readonly Rung[];
    }
  | { readonly kind: 'layers'; readonly risk: LayersRisk }
  | { readonly kind: 'coats'; readonly glaze: string; readonly risk: CoatsRisk };

/**
 * Plays a case forward: crazing on a glaze of known recipe to the ladder away from it, two layers to the orders
 * and partners, one glaze to the number of coats.
 *
 * @param zones of the studio with whether they show the defect
 * @returns null when nothing can be said
 */
export function forwardOf(
  defect: DefectId,
  found: PieceCase | null,
  zones: readonly FiredZoneFacts[],
  book: MaterialBook,
): Forward | null {
  if (!found) return null;
  const { layers, recipe, body } = found.voice;
  const glazes = layers.map(({ name }) => name);
  if (defect === 'crazing' && recipe && body) {
    const rungs = ladderForecast(recipe, body, layers[0]!.times, book);
    return rungs.length ? { kind: 'ladder', glaze: recipe.name, body: found.piece.body, rungs } : null;
  }
  if (glazes.length === 2 && glazes[0] !== glazes[1]) {
    const risk = riskByLayers(zones, [glazes[0]!, glazes[1]!]);
    return risk.orders.length + risk.partners.length > 1 ? { kind: 'layers', risk } : null;
  }
  const risk = riskByCoats(zones, glazes);
  return risk.steps.length > 1 ? { kind: 'coats', glaze: [...glazes].reverse().join(' over '), risk } : null;
}
