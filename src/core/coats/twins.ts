import type { Form, TextureBySide } from '../vocabulary';
import { coreCoat, type Area, type WrittenCoat } from './model';
import { zonesOf } from './zones';

/** What of a piece decides which pieces are its twins. */
export interface TwinFacts {
  readonly bodyId: string;
  readonly form: Form;
  /** What was done to the clay, by side. */
  readonly texture: TextureBySide;
  /** Named parts beside its bands. */
  readonly areas: readonly Area[];
  /** The cell of a round that it is to be glazed for; null for none. Counts only while nothing lies on it. */
  readonly roundCellId: string | null;
  /** In order of application. */
  readonly coats: readonly TwinCoat[];
}

/** A coat as far as it decides twins. */
export interface TwinCoat extends WrittenCoat {
  readonly versionId: string;
  /** The firing it went into; null for one that has not been fired. */
  readonly firingId: string | null;
}

/**
 * A text that is equal for two pieces exactly when they are twins: meant to come out equal. The one definition of a
 * twin: same clay, form and texture, and on each side the same zones (to a thousandth of the side) of the same layers
 * in order, each of the same glaze version, laid on in the same way, as often, on clay in the same state, wiped or
 * not, held off by a resist or not, the same areas and their zones, and put on before or after the same firing of a coat. A piece that carries
 * nothing yet is a twin only of those that are to be glazed for the same cell of a round.
 */
export function twinText({ bodyId, form, texture, areas, roundCellId, coats }: TwinFacts): string {
  const firings = [...new Set(coats.map(({ firingId }) => firingId))];
  const cores = coats.map((coat) =>
    coreCoat({ ...coat, glazeId: coat.versionId }, firings.indexOf(coat.firingId)),
  );
  const zones = zonesOf(cores, areas).map(({ area, side, from, to, stack }) => [
    area ?? side,
    from.toFixed(3),
    to.toFixed(3),
    stack.map(({ glaze, times, way, clay, mark, firing }) => [glaze, times, way, clay, mark, firing]),
  ]);
  const resisted = coats
    .filter(({ glazeKind }) => glazeKind === 'resist')
    .map(({ area, side, from, to }) => [area ?? side, from.toFixed(3), to.toFixed(3)])
    .sort();
  const textures = Object.entries(texture)
    .filter(([, list]) => list.length > 0)
    .map(([side, list]) => [side, [...list].sort()])
    .sort();
  return JSON.stringify([bodyId, form, textures, coats.length ? null : roundCellId, zones, resisted]);
}
