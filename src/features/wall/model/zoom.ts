/** Widths of a cell, px: from the whole matrix to the pixels of one tile. */
export const ZOOMS = [12, 18, 28, 42, 64, 96, 150, 240, 380, 640] as const;
/** From this width cells show pictures; below, a row is drawn as one, in their colours. */
export const PICTURES_FROM = 42;
/** From this width cells show the whole tile. */
export const TILES_FROM = 240;
/** Height of a cell for its width. */
export const TALL = 0.9;

/** The largest zoom at which so many columns fit, at most the one that is usual. */
export function fitting(columns: number, width: number, usual = 64): number {
  return [...ZOOMS].reverse().find((zoom) => zoom <= usual && zoom * columns <= width) ?? ZOOMS[0];
}

/** One step in or out. */
export function stepped(zoom: number, by: 1 | -1): number {
  const at = ZOOMS.findIndex((one) => one >= zoom);
  return ZOOMS[Math.min(ZOOMS.length - 1, Math.max(0, at + by))]!;
}

/** What lies in view along one side: first and last place, with one more at either end. */
export function inView(
  scroll: number,
  length: number,
  cell: number,
  count: number,
): readonly [number, number] {
  const first = Math.max(0, Math.floor(scroll / cell) - 1);
  return [first, Math.min(count - 1, Math.ceil((scroll + length) / cell))];
}
