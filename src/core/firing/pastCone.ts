import type { LoadWarning } from './shelf';
import { coneIndex } from './names';

/** A piece of a load with what its clay and its glazes are known to stand. */
export interface HeatedPiece {
  readonly id: string;
  readonly label: string;
  readonly clay: string;
  /** The cone that its clay is made for at most; null when not known. */
  readonly clayTo: string | null;
  /** Its glazes with the hottest cone that the studio has fired each to; null for one that was never fired. */
  readonly glazes: readonly { readonly name: string; readonly hottest: string | null }[];
}

/** How many cones hotter than ever before a glaze is warned about (judgement: half a cone is a hot spot). */
const HOTTER = 1;

/**
 * What of a load goes past its cone, each clay and glaze once with the pieces that it is on: a clay beyond its range, a
 * glaze hotter than it was ever fired here. What is not known is not warned about.
 *
 * @param cone of the firing, by name
 * @example pastConeWarnings([{ clay: 'Cutting Red', clayTo: '6', … }], '10')[0].words
 *   // 'Cone 10 is past Cutting Red, which goes to cone 6: SW-0012.'
 */
export function pastConeWarnings(pieces: readonly HeatedPiece[], cone: string): LoadWarning[] {
  const heat = coneIndex(cone);
  if (heat === null) return [];
  const isPast = (limit: string | null, by: number) => {
    const most = limit === null ? null : coneIndex(limit);
    return typeof most === 'number' && heat > most + by;
  };
  const found = new Map<string, HeatedPiece[]>();
  const note = (words: string, piece: HeatedPiece) => found.set(words, [...(found.get(words) ?? []), piece]);
  for (const piece of pieces) {
    if (isPast(piece.clayTo, 0))
      note(`Cone ${cone} is past ${piece.clay}, which goes to cone ${piece.clayTo}`, piece);
    for (const { name, hottest } of piece.glazes)
      if (isPast(hottest, HOTTER)) note(`${name} was never fired hotter than cone ${hottest} here`, piece);
  }
  return [...found].map(([words, own]) => ({
    pieces: own.map(({ id }) => id),
    words: `${words}: ${own.map(({ label }) => label).join(', ')}.`,
  }));
}
