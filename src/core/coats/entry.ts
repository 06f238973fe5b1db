import type { Atmosphere } from '../vocabulary';
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
  /** How many glaze firings the zone has been through; 1 the first time. */
  readonly firings: number;
}

/**
 * Parts a zone's stack into its ground and what lies on it.
 *
 * Slips at the very bottom, before any fired layer, belong to the ground; a slip over a glaze is a layer
 * like any other. How often a slip was laid on is a fact of the proof, not of the ground.
 *
 * @example
 * groundOf('Cutting Red', [{ glaze: 'Whitestrip', times: 1, slip: true }, { glaze: 'Limewash', times: 2 }])
 * // { ground: { body: 'Cutting Red', slips: ['Whitestrip'] }, stack: [{ glaze: 'Limewash', times: 2 }] }
 */
export function groundOf(body: string, zone: Stack): { ground: Ground; stack: Stack } {
  const above = zone.findIndex((layer) => !layer.slip || layer.mark !== undefined || (layer.firing ?? 0) > 0);
  const cut = above === -1 ? zone.length : above;
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
  const names = stack.map((layer) => escape(layer.glaze) + (layer.mark ? `!${layer.mark}` : ''));
  return names.filter((name, i) => name !== names[i - 1]).join(';');
}

/**
 * The canonical key of an entry: the stack (glaze, dipped or brushed, times, in order) on a ground, at a
 * target cone, in an atmosphere. A firing between two layers is written `^`, and one for each firing the
 * finished stack went through after its first, so that what a refiring gives is an entry of its own.
 *
 * Two zones are proofs of one entry exactly when their keys are equal.
 *
 * @example
 * entryKey({ ground: { body: 'red', slips: [] }, stack: [{ glaze: 'A', times: 2, way: 'dipped' }],
 *   cone: '6', atmosphere: 'oxidation', firings: 1 }) // 'red|A*2:dipped|6|oxidation'
 */
export function entryKey({ ground, stack, cone, atmosphere, firings }: EntryFacts): string {
  let fired = 0;
  const parts: string[] = [];
  for (const layer of stack) {
    for (; fired < (layer.firing ?? 0); fired++) parts.push('^');
    parts.push(layerKey(layer));
  }
  for (; fired < firings - 1; fired++) parts.push('^');
  return [groundKey(ground), parts.join(';'), escape(cone), atmosphere].join('|');
}

function layerKey(layer: Layer): string {
  const mark = layer.mark ? `!${layer.mark}` : '';
  const slip = layer.slip ? '~' : '';
  return `${slip}${escape(layer.glaze)}*${layer.times}:${layer.way ?? 'dipped'}${mark}`;
}

/** Keeps the separators of a key out of the names in it. */
function escape(name: string): string {
  return name.replace(/[%|;+*:^!~]/g, (sign) => `%${sign.charCodeAt(0).toString(16)}`);
}
