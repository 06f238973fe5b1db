/** The faces of a piece that carry coats. Flat forms and ring strips may be split into left and right. */
export const SIDES = ['outside', 'left', 'right', 'inside'] as const;
export type Side = (typeof SIDES)[number];

/** How a coat is put on. */
export const METHODS = ['dip', 'pour', 'brush', 'spray', 'trail', 'sponge', 'inlay'] as const;
export type Method = (typeof METHODS)[number];

/** What the clay is like when a coat goes on. */
export const CLAY_STATES = ['wet', 'leather-hard', 'dry', 'bisque'] as const;
export type ClayState = (typeof CLAY_STATES)[number];

/** What kind of thing is in the bucket or jar. */
export const GLAZE_KINDS = ['glaze', 'slip', 'underglaze', 'wash', 'resist', 'lustre'] as const;
export type GlazeKind = (typeof GLAZE_KINDS)[number];

/** What was done to the clay before it was glazed; "grogged" is a rough face, "smooth" one that was worked over. */
export const TEXTURES = [
  'smooth',
  'combed',
  'carved',
  'inlaid',
  'stamped',
  'rolled',
  'sprigged',
  'slip-trailed',
  'grogged',
  'burnished',
] as const;
export type Texture = (typeof TEXTURES)[number];

/** Textures by side; a side that is not there was not noted. */
export type TextureBySide = Readonly<Partial<Record<Side, readonly Texture[]>>>;
