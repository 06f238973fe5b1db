import { expansionOf, type Line, type MaterialBook } from '@/core/chemistry';
import { bandOf, bodyFigure, COAT_THICKNESS, type Calibration, type FitBand } from '@/core/fit';
import type { Body, StudioTile, Glaze } from '@/records/materials';

/** One glaze on a clay: what is calculated, and what its tiles showed. */
export interface Judged {
  readonly id: string;
  readonly name: string;
  readonly colour: string;
  /** Null without a recipe, or when the clay's expansion is not known. */
  readonly band: FitBand | null;
  readonly crazed: number;
  readonly sound: number;
}

interface Asked {
  readonly body: Pick<Body, 'expansion'>;
  readonly calibration: Calibration | null;
  readonly glazes: readonly Pick<Glaze, 'id' | 'name' | 'kind' | 'colour'>[];
  readonly recipes: readonly { readonly glazeId: string; readonly lines: readonly Line[] }[];
  /** Those of this clay. */
  readonly tiles: readonly StudioTile[];
  readonly book: MaterialBook;
  readonly dips: number;
}

/** Every glaze on one clay, the most stretched first; those that cannot be judged at the end. */
export function judge({ body, calibration, glazes, recipes, tiles, book, dips }: Asked): Judged[] {
  const figure = bodyFigure(body.expansion, calibration);
  const thicknessMm = dips * COAT_THICKNESS.dipped.fired;
  const lines = new Map(recipes.map((recipe) => [recipe.glazeId, recipe.lines]));
  return glazes
    .filter((glaze) => glaze.kind === 'glaze')
    .map(({ id, name, colour }) => {
      const glazeExpansion = expansionOf(lines.get(id) ?? [], book);
      const own = tiles.filter((tile) => tile.glaze === id);
      const count = (crazed: boolean) =>
        own.filter((tile) => tile.crazed === crazed).reduce((sum, tile) => sum + tile.count, 0);
      const band =
        figure && glazeExpansion !== null
          ? bandOf({ glazeExpansion, bodyExpansion: figure.expansion, thicknessMm }, figure.miss)
          : null;
      return { id, name, colour, band, crazed: count(true), sound: count(false) };
    })
    .sort((a, b) => (b.band?.mismatch ?? -99) - (a.band?.mismatch ?? -99));
}
