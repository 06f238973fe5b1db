import type { ShelfPiece } from '@/records/firings';

type Numbered = Pick<ShelfPiece, 'id' | 'label'>;

/** What a text of numbers chooses among the pieces that wait. */
export interface ByNumber {
  readonly ids: readonly string[];
  /** Single numbers, and ranges without any piece, that nothing waits under. */
  readonly missing: readonly string[];
  /** Parts that are no numbers. */
  readonly wrong: readonly string[];
}

/** "12", "SW-0012", "12-40", "SW-0012 to SW-0040"; dashes of any kind. */
const PART = /^(?:([a-z]+)-?)?(\d+)(?:\s*(?:-|–|—|to)\s*(?:([a-z]+)-?)?(\d+))?$/i;

/**
 * The waiting pieces that a text names: numbers and ranges with commas or spaces between, with the letters of their
 * series or without; without them every series is meant.
 *
 * @example chosenBy('12-14, SW-0020', waiting) // ids of those of 12, 13, 14 and 20 that wait
 */
export function chosenBy(text: string, pieces: readonly Numbered[]): ByNumber {
  const parts = text
    .replace(/\s*(-|–|—|\bto\b)\s*/gi, '-')
    .split(/[,;\s]+/)
    .filter(Boolean);
  const ids = new Set<string>();
  const [missing, wrong]: [string[], string[]] = [[], []];
  for (const part of parts) {
    const read = PART.exec(part);
    if (!read) {
      wrong.push(part);
      continue;
    }
    const [, letters, first, , last] = read;
    const [low, high] = [Number(first), Number(last ?? first)].sort((a, b) => a - b) as [number, number];
    const found = pieces.filter(({ label }) => {
      const [series, digits] = label.split('-') as [string, string];
      const isSeries = !letters || series.toLowerCase() === letters.toLowerCase();
      return isSeries && Number(digits) >= low && Number(digits) <= high;
    });
    for (const { id } of found) ids.add(id);
    if (found.length === 0) missing.push(part);
  }
  return { ids: [...ids], missing, wrong };
}
