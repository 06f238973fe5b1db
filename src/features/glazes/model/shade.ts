import { figures } from '@/core/units';
import { MAP_FIELDS } from '@/core/chemistry';
import type { TriaxialCell } from '@/core/recipe';

/** What a blend can be looked at for. */
export const SHOWN = ['expansion', 'silica to alumina', 'map field', 'boron'] as const;
export type Shown = (typeof SHOWN)[number];

export interface Scale {
  /** Grey of a cell, 0 black to 1 white: nothing tinted, so that it is not taken for a fired colour. */
  readonly shade: (cell: TriaxialCell) => number;
  /** The value of a cell in figures or a word. */
  readonly of: (cell: TriaxialCell) => string;
  readonly words: string;
}

const VALUE: Readonly<Record<Exclude<Shown, 'map field'>, (cell: TriaxialCell) => number | null>> = {
  expansion: (cell) => cell.expansion,
  'silica to alumina': (cell) => cell.silicaAlumina,
  boron: (cell) => cell.boron,
};

/** How to shade the cells by one of their values: darkest is least, lightest most. */
export function shadeOf(cells: readonly TriaxialCell[], shown: Shown): Scale {
  if (shown === 'map field') {
    return {
      shade: (cell) =>
        cell.mapField ? 0.25 + (MAP_FIELDS.indexOf(cell.mapField) * 0.7) / MAP_FIELDS.length : 0.1,
      of: (cell) => cell.mapField ?? 'no formula',
      words: 'Each grey is a field of the map; walk over it for its name.',
    };
  }
  const value = VALUE[shown];
  const known = cells.map(value).filter((n) => n !== null);
  const [least, most] = [Math.min(...known), Math.max(...known)];
  return {
    shade: (cell) => {
      const n = value(cell);
      return n === null || most === least ? 0.5 : 0.18 + (0.78 * (n - least)) / (most - least);
    },
    of: (cell) => figures(value(cell), 2, 'none'),
    words: known.length ? `Darkest ${figures(least, 2)}, lightest ${figures(most, 2)}.` : '',
  };
}
