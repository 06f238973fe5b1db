/** Words for areas, with whether each is mostly a part of its own: a handle is, a logo lies on a side. */
export const AREA_WORDS = {
  logo: false,
  lettering: false,
  drawing: false,
  lines: false,
  dots: false,
  handle: true,
  lid: true,
  fins: true,
  underside: true,
  'foot ring': true,
} as const satisfies Readonly<Record<string, boolean>>;
export type AreaWord = keyof typeof AREA_WORDS;
