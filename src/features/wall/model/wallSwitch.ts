import { cellKey, type WallCell } from './cells';

/** What the same cells can be flicked to, in place. */
export const WALL_SWITCHES = ['order', 'coats', 'grounds'] as const;
export type WallSwitch = (typeof WALL_SWITCHES)[number];

export const WALL_SWITCH_WORDS: Readonly<Record<WallSwitch, string>> = {
  order: 'the other order',
  coats: 'swap one coat and two',
  grounds: 'swap light and dark clay',
};

/** The wall as it looks flicked: each cell at its own place, with what the flick shows there. */
export function switchedCells(
  cells: ReadonlyMap<string, WallCell>,
  flick: WallSwitch,
): Map<string, WallCell> {
  if (flick === 'order')
    return new Map([...cells.values()].map((cell) => [cellKey(cell.topId, cell.baseId), cell]));
  const turned = (cell: WallCell): WallCell => ({
    ...cell,
    quarters:
      flick === 'grounds'
        ? [...cell.quarters].reverse()
        : cell.quarters.map(({ once, twice }) => ({ once: twice, twice: once })),
  });
  return new Map([...cells].map(([key, cell]) => [key, turned(cell)]));
}
