/** Words for areas, with whether each is mostly a part of its own: a handle is, a logo lies on a side. */
export const AREA_WORDS = {
  motif: false,
  'left half': false,
  'right half': false,
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
