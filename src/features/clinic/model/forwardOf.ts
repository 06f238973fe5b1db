import {
  ladderForecast,
  riskByCoats,
  riskByLayers,
  type CoatsRisk,
  type LayersRisk,
  type Rung,
} from '@/core/clinic';
import type { Line, MaterialBook } from '@/core/chemistry';
import type { DefectId } from '@/core/vocabulary';
import type { FiredZoneFacts } from '@/core/evidence';
import type { PieceCase } from '@/records/clinic';
import type { FiredRung } from '@/records/rounds';

/** A rung that is foretold, with what it gave where it was fired. */
export type ForetoldRung = Rung & { readonly fired: FiredRung | null };

/** What is likely to come of doing it otherwise. */
export type Forward =
  | {
      readonly kind: 'ladder';
      readonly glaze: string;
      readonly body: string;
      readonly rungs: readonly ForetoldRung[];
    }
  | { readonly kind: 'layers'; readonly risk: LayersRisk }
  | { readonly kind: 'coats'; readonly glaze: string; readonly risk: CoatsRisk };

/**
 * Plays a case forward: crazing on a glaze of known recipe to the ladder away from it, two layers to the orders
 * and partners, one glaze to the number of coats.
 *
 * @param zones of the studio with whether they show the defect
 * @param fired rungs of the studio's ladders on the clay of the case, newest first
 * @returns null when nothing can be said
 */
export function forwardOf(
  defect: DefectId,
  found: PieceCase | null,
  zones: readonly FiredZoneFacts[],
  book: MaterialBook,
  fired: readonly FiredRung[],
): Forward | null {
  if (!found) return null;
  const { layers, recipe, body } = found.voice;
  const glazes = layers.map(({ name }) => name);
  if (defect === 'crazing' && recipe && body) {
    const rungs = ladderForecast(recipe, body, layers[0]!.times, book);
    const known = rungs.map((rung) => ({
      ...rung,
      fired: fired.find((one) => one.words === rung.words && isSameMix(one.lines, rung.lines)) ?? null,
    }));
    return rungs.length ? { kind: 'ladder', glaze: recipe.name, body: found.piece.body, rungs: known } : null;
  }
  if (glazes.length === 2 && glazes[0] !== glazes[1]) {
    const risk = riskByLayers(zones, [glazes[0]!, glazes[1]!]);
    return risk.orders.length + risk.partners.length > 1 ? { kind: 'layers', risk } : null;
  }
  const risk = riskByCoats(zones, glazes);
  return risk.steps.length > 1 ? { kind: 'coats', glaze: [...glazes].reverse().join(' over '), risk } : null;
}

/** Whether two recipes are the same mixture: a ladder of an earlier version of the glaze is another one. */
function isSameMix(one: readonly Line[], other: readonly Line[]): boolean {
  const inOrder = (lines: readonly Line[]) =>
    lines
      .map(({ material, amount, addition }) => `${material} ${amount.toFixed(2)} ${addition ?? false}`)
      .sort();
  return inOrder(one).join() === inOrder(other).join();
}
