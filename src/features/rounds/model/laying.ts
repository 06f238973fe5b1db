import { layerWords, wayOf, whereWords } from '@/core/coats';
import { codeOf, isPlainStack } from '@/core/rounds';
import { joined, text, type Message } from '@/core/units';
import type { Measures } from '@/core/vocabulary';
import type { RoundCell } from '@/records/rounds';

/**
 * What is put on a piece of a cell, in the order of work.
 *
 * @example layingWords([sleeper, { ...limewash, bands: [upperHalf] }], tile) // 'Sleeper once, then Limewash once, upper half'
 */
export function layingWords(stack: RoundCell['stack'], piece: Measures): Message {
  const layers = stack.map(({ name, times, method = 'dip', bands = [] }): Message => {
    const how = `${name} ${layerWords({ times, way: wayOf(method) })}`;
    const where = joined(
      bands.map((band) => whereWords(band, piece)),
      ' and ',
    );
    return bands.length ? text`${how}, ${where}` : how;
  });
  return joined(layers, ', then ');
}

/** Cells as they are mixed: one cup for what is the same on all parts of the round, with the pieces of all. */
export function cupsOf(cells: readonly RoundCell[]): RoundCell[] {
  const cups = new Map<string, RoundCell>();
  for (const cell of cells) {
    const key = cell.recipe ? JSON.stringify(cell.recipe) : cell.id;
    const before = cups.get(key);
    const pieces = [...(before?.pieces ?? []), ...cell.pieces];
    const label = cell.recipe ? codeOf(cell.row, cell.column) : cell.label;
    cups.set(key, { ...(before ?? cell), label, pieces });
  }
  return [...cups.values()];
}

/** Whether a cell says more than that its mixture is dipped once: other layers, another way, another place. */
export function isMoreThanDipped(stack: RoundCell['stack']): boolean {
  return stack.length > 1 || !isPlainStack(stack);
}
