/** Words for areas, with whether each is mostly a part of its own: a handle is, a logo lies on a side. */
export const AREA_WORDS = {
  motif: false,
  'left half': false,
  'right half': false,
  'third 1': false,
  'third 2': false,
  'third 3': false,
  'quarter 1': false,
  'quarter 2': false,
  'quarter 3': false,
  'quarter 4': false,
  logo: false,
  lettering: false,
  drawing: false,
  lines: false,
  dots: false,
  front: false,
  back: false,
  'side 1': false,
  'side 2': false,
  'side 3': false,
  handle: true,
  lid: true,
  fins: true,
  underside: true,
  spout: true,
  'foot ring': true,
} as const satisfies Readonly<Record<string, boolean>>;
export type AreaWord = keyof typeof AREA_WORDS;

/** Words for sectors: which part of how many, clockwise; one sees both halves of a wall, of thirds and quarters not all. */
export const SECTOR_WORDS: Readonly<
  Partial<Record<AreaWord, { readonly part: number; readonly of: number }>>
> = {
  'right half': { part: 1, of: 2 },
  'left half': { part: 2, of: 2 },
  'third 1': { part: 1, of: 3 },
  'third 2': { part: 2, of: 3 },
  'third 3': { part: 3, of: 3 },
  'quarter 1': { part: 1, of: 4 },
  'quarter 2': { part: 2, of: 4 },
  'quarter 3': { part: 3, of: 4 },
  'quarter 4': { part: 4, of: 4 },
};
