import type { Atmosphere } from '../vocabulary';
import type { FiredAt } from './history';
import type { Layer, Stack } from './model';

/** What a stack sits on: the body, with the slips at the very bottom (bottom first). */
export interface Ground {
  readonly body: string;
  readonly slips: readonly string[];
}

/** The facts that make one entry of the dictionary. */
export interface EntryFacts {
  readonly ground: Ground;
  /** Layers above the ground, bottom first. */
  readonly stack: Stack;
  /** Target cone by name, for example "6" or "05½". */
  readonly cone: string;
  readonly atmosphere: Atmosphere;
  /** The firings that made the zone what it is, in order; with one it is the row of the entry itself. */
  readonly history: readonly FiredAt[];
}

/** Whether a layer lies all over its stretch, as it was put on. */
export function isWhole({ mark, cover }: Pick<Layer, 'mark' | 'cover'>): boolean {
  return mark === undefined && cover === undefined;
}

/**
 * Parts a zone's stack into its ground and what lies on it.
 *
 * Slips at the very bottom, before any fired layer, belong to the ground of what lies on them: how often such a slip
 * was laid on is a fact of the proof. A slip over a glaze is a layer like any other, and slips with nothing on them
 * are the result themselves.
 *
 * @example
 * groundOf('Cutting Red', [{ glaze: 'Whitestrip', times: 1, slip: true }, { glaze: 'Limewash', times: 2 }])
 * // { ground: { body: 'Cutting Red', slips: ['Whitestrip'] }, stack: [{ glaze: 'Limewash', times: 2 }] }
 */
export function groundOf(body: string, zone: Stack): { ground: Ground; stack: Stack } {
  const above = zone.findIndex((layer) => !layer.slip || !isWhole(layer) || (layer.firing ?? 0) > 0);
  const cut = above === -1 ? 0 : above;
  return { ground: { body, slips: zone.slice(0, cut).map((layer) => layer.glaze) }, stack: zone.slice(cut) };
}

/**
 * The canonical key of a ground: the body, then its slips from the bottom.
 *
 * @example groundKey({ body: 'red', slips: ['white'] }) // 'red+white'
 */
export function groundKey(ground: Ground): string {
  return [ground.body, ...ground.slips].map(escape).join('+');
}

/**
 * The canonical key of a headword: glazes in order, with their marks, without times or ways.
 * All entries of one headword share one page of the dictionary. Empty for bare clay.
 *
 * @example headwordKey([{ glaze: 'Sleeper', times: 2 }, { glaze: 'Limewash', times: 1 }]) // 'Sleeper;Limewash'
 */
export function headwordKey(stack: Stack): string {
  const names = stack.map((layer) => escape(layer.glaze) + marksKey(layer));
  return names.filter((name, i) => name !== names[i - 1]).join(';');
}

/**
 * The canonical key of an entry: the stack (glaze, way of application, times, in order; of a slip also what the clay
 * was like) on a ground, at a target cone, in an atmosphere. Firings between two layers are written `^`, and what was
 * fired more than once carries all its firings, so that what a refiring gives is an entry of its own.
 *
 * Two zones are proofs of one entry exactly when their keys are equal.
 *
 * @example
 * entryKey({ ground: { body: 'red', slips: [] }, stack: [{ glaze: 'A', times: 2, way: 'dipped' }],
 *   cone: '6', atmosphere: 'oxidation', history: [{ cone: '6', atmosphere: 'oxidation' }] })
 * // 'red|A*2:dipped|6|oxidation'
 */
export function entryKey({ ground, stack, cone, atmosphere, history }: EntryFacts): string {
  let fired = 0;
  const parts: string[] = [];
  for (const layer of stack) {
    for (; fired < (layer.firing ?? 0); fired++) parts.push('^');
    parts.push(layerKey(layer));
  }
  const rows = history.map((row) => `${escape(row.cone)}:${row.atmosphere}`);
  const key = [groundKey(ground), parts.join(';'), escape(cone), atmosphere];
  return [...key, ...(rows.length > 1 ? [rows.join('>')] : [])].join('|');
}

function layerKey(layer: Layer): string {
  const slip = layer.slip ? '~' : '';
  const clay = layer.slip && layer.clay ? `@${layer.clay}` : '';
  return `${slip}${escape(layer.glaze)}*${layer.times}:${layer.way ?? 'dipped'}${clay}${marksKey(layer)}`;
}

function marksKey({ mark, cover }: Layer): string {
  return [mark, cover].map((word) => (word ? `!${word}` : '')).join('');
}

/** Keeps the separators of a key out of the names in it. */
function escape(name: string): string {
  return name.replace(/[%|;+*:^!~@>]/g, (sign) => `%${sign.charCodeAt(0).toString(16)}`);
}
