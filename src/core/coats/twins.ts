import type { Form, TextureBySide } from '../vocabulary';
import { coreCoats, type WrittenArea, type WrittenCoat } from './model';
import { zonesOf } from './zones';

/** What of a piece decides which pieces are its twins. */
export interface TwinFacts {
  readonly bodyId: string;
  readonly form: Form;
  /** The studio's own form; null for one of the library. */
  readonly formId: string | null;
  /** What was done to the clay, by side. */
  readonly texture: TextureBySide;
  /** Named parts beside its bands. */
  readonly areas: readonly WrittenArea[];
  /** The cell of a round that it is to be glazed for; null for none. Counts only while nothing lies on it. */
  readonly roundCellId: string | null;
  /** In order of application. */
  readonly coats: readonly TwinCoat[];
}

/** A coat as far as it decides twins. */
export interface TwinCoat extends WrittenCoat {
  readonly versionId: string;
  /** What was put on in all, of stuff that is weighed or counted. */
  readonly grams: number | null;
  readonly pieces: number | null;
  /** The firing it went into; null for one that has not been fired. */
  readonly firingId: string | null;
}

/**
 * A text that is equal for two pieces exactly when they are twins: meant to come out equal. The one definition of a
 * twin: same clay, form and texture, as much of stuff that is weighed, and on each side the same zones (to a thousandth of the side) of the same layers
 * in order, each of the same glaze version, laid on in the same way, as often, on clay in the same state, wiped or
 * not, held off by a resist or not, in the same pattern, the same areas of the same clay and texture and their zones, and put on before or after the same firing of a coat. A piece that carries
 * nothing yet is a twin only of those that are to be glazed for the same cell of a round.
 */
export function twinText({ bodyId, form, formId, texture, areas, roundCellId, coats }: TwinFacts): string {
  const firings = [...new Set(coats.map(({ firingId }) => firingId))];
  const cores = coats.flatMap((coat) =>
    coreCoats({ ...coat, glazeId: coat.versionId }, firings.indexOf(coat.firingId)),
  );
  const zones = zonesOf(cores, areas).map(({ area, side, from, to, stack }) => [
    area ?? side,
    from.toFixed(3),
    to.toFixed(3),
    stack.map(({ glaze, times, way, clay, mark, cover, firing }) => [
      ...[glaze, times, way, clay, mark, firing],
      ...(cover ? [cover] : []),
    ]),
  ]);
  const resisted = coats
    .filter(({ glazeKind }) => glazeKind === 'resist')
    .map(({ area, side, from, to }) => [area ?? side, from.toFixed(3), to.toFixed(3)])
    .sort();
  const textures = Object.entries(texture)
    .filter(([, list]) => list.length > 0)
    .map(([side, list]) => [side, [...list].sort()])
    .sort();
  const covers = coats.flatMap(({ cover }) => cover ?? []);
  const treated = areas
    .filter(({ bodyId: clay, texture: own }) => clay !== null || own.length > 0)
    .map(({ name, bodyId: clay, texture: own }) => [name, clay, [...own].sort()]);
  const facts = [bodyId, form, textures, coats.length ? null : roundCellId, zones, resisted];
  const amounts = coats.flatMap(({ grams, pieces }) => ((grams ?? pieces) === null ? [] : [[grams, pieces]]));
  // Most pieces have nothing of these, and keep the text that they had.
  const more = [formId ? [formId] : [], covers, treated, amounts];
  return JSON.stringify(more.some((list) => list.length > 0) ? [...facts, more] : facts);
}
