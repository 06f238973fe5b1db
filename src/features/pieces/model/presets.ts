import { coatPlaces, type CoatPlace } from '@/core/vocabulary';
import type { CoatDraft, PieceDraft } from '@/records/pieces';
import { sidesFor, withCoat, type FormChoice } from './draft';

/** A usual place of a coat, chosen with one tap. */
export interface Preset {
  readonly name: string;
  /** The draft with the coat there. */
  readonly put: (draft: PieceDraft, index: number) => PieceDraft;
}

/** Puts a coat there; where the place is of two sides, a second one like it lies beside it in the order of work. */
function put(bands: CoatPlace['bands'], draft: PieceDraft, index: number): PieceDraft {
  const { side, ...band } = bands.at(-1)!;
  const placed = withCoat(draft, index, { area: null, ...band, ...(side && { side }) });
  const before = bands.slice(0, -1).map((one): CoatDraft => ({
    ...placed.coats[index]!,
    ...{ side: one.side ?? placed.coats[index]!.side, from: one.from, to: one.to, not: [] },
  }));
  return { ...placed, coats: placed.coats.toSpliced(index, 0, ...before) };
}

/**
 * The usual places of a coat on a piece.
 *
 * @param bands those that are usual on the studio's own form
 */
export function presetsFor(draft: PieceDraft, bands: FormChoice['bands'] = []): Preset[] {
  const own = bands.map(({ name, from, to }): CoatPlace => ({ name, bands: [{ side: null, from, to }] }));
  return [...own, ...coatPlaces(draft, sidesFor(draft))].map((place) => ({
    name: place.name,
    put: (before, index) => put(place.bands, before, index),
  }));
}
