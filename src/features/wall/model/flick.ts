import { cellKey, type Cell } from './cells';

/** What the same cells can be flicked to, in place. */
export const FLICKS = ['order', 'coats', 'grounds'] as const;
export type Flick = (typeof FLICKS)[number];

export const FLICK_WORDS: Readonly<Record<Flick, string>> = {
  order: 'the other order',
  coats: 'once and twice changed over',
  grounds: 'the grounds changed over',
};

/** The wall as it looks flicked: each cell at its own place, with what the flick shows there. */
export function flicked(cells: ReadonlyMap<string, Cell>, flick: Flick): Map<string, Cell> {
  if (flick === 'order')
    return new Map([...cells.values()].map((cell) => [cellKey(cell.topId, cell.baseId), cell]));
  const turned = (cell: Cell): Cell => ({
    ...cell,
    quarters:
      flick === 'grounds'
        ? [...cell.quarters].reverse()
        : cell.quarters.map(({ once, twice }) => ({ once: twice, twice: once })),
  });
  return new Map([...cells].map(([key, cell]) => [key, turned(cell)]));
}
