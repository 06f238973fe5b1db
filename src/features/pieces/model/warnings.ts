import { zonesOf } from '@/core/coats';
import { lengthOf, text, type Message } from '@/core/units';
import { formShape, reachMm } from '@/core/vocabulary';
import type { PieceDraft } from '@/records/pieces';
import { drawnAreas, type GlazeChoice } from './draft';
import type { DrawnCoat } from '@/ui/silhouette';

/** A coat that ends so near the foot has nowhere to run to, mm (common practice, no source). */
const AT_THE_FOOT = 5;
const KEPT_FREE = 10;

/**
 * What is likely to go wrong with the coats as they are drawn: a drawing that an opaque glaze will hide, a glaze that
 * runs and ends at the foot. Where nobody said whether a glaze is opaque or runs, nothing is said.
 *
 * @param coats those of the draft that can be drawn
 */
export function coatWarnings(
  draft: PieceDraft,
  coats: readonly DrawnCoat[],
  glazes: ReadonlyMap<string, GlazeChoice>,
): Message[] {
  return [...hidden(draft, coats, glazes), ...running(draft, coats, glazes)];
}

function hidden(
  draft: PieceDraft,
  coats: readonly DrawnCoat[],
  glazes: ReadonlyMap<string, GlazeChoice>,
): Message[] {
  const pairs = zonesOf(coats, drawnAreas(draft)).flatMap(({ stack }) =>
    stack.flatMap((layer, i) => {
      const isDrawing =
        glazes.get(layer.glaze)?.kind === 'underglaze' ||
        (layer.slip && (layer.way === 'trailed' || layer.way === 'inlaid'));
      const over = stack.slice(i + 1).find(({ glaze }) => glazes.get(glaze)?.opaque);
      return isDrawing && over
        ? `${nameOf(glazes, over.glaze)} is opaque: it will hide ${nameOf(glazes, layer.glaze)}.`
        : [];
    }),
  );
  return [...new Set(pairs)];
}

function running(
  draft: PieceDraft,
  coats: readonly DrawnCoat[],
  glazes: ReadonlyMap<string, GlazeChoice>,
): Message[] {
  const { plan, catches } = formShape(draft.form);
  if (plan || catches) return [];
  const atFoot = coats.filter(
    ({ glaze, side, from, area }) =>
      side !== 'inside' &&
      area === undefined &&
      from * reachMm(draft) < AT_THE_FOOT &&
      glazes.get(glaze)?.movement === 'runs',
  );
  return [...new Set(atFoot.map(({ glaze }) => glaze))].map(
    (glaze) =>
      text`${nameOf(glazes, glaze)} runs and ends at the foot: keep ${lengthOf(KEPT_FREE)} free, or stand it on a cookie.`,
  );
}

const nameOf = (glazes: ReadonlyMap<string, GlazeChoice>, id: string) => glazes.get(id)?.name ?? 'a glaze';
