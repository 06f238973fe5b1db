/** The faces of a piece that carry coats. Flat forms and ring strips may be split into left and right. */
export const SIDES = ['outside', 'left', 'right', 'inside'] as const;
export type Side = (typeof SIDES)[number];

/** How a coat is put on. */
export const METHODS = [
  ...(['dip', 'pour', 'brush', 'spray', 'trail', 'sponge', 'inlay'] as const),
  ...(['scatter', 'dust', 'apply'] as const),
] as const;
export type Method = (typeof METHODS)[number];

/** What the clay is like when a coat goes on. */
export const CLAY_STATES = ['wet', 'leather-hard', 'dry', 'bisque'] as const;
export type ClayState = (typeof CLAY_STATES)[number];

/** What kind of thing is in the bucket, jar or box. */
export const GLAZE_KINDS = [
  ...(['glaze', 'slip', 'underglaze', 'wash', 'resist', 'lustre'] as const),
  ...(['glass', 'frit', 'decal', 'ash', 'salt'] as const),
] as const;
export type GlazeKind = (typeof GLAZE_KINDS)[number];

/** Kinds that are put on by weight or by the piece, and how. */
export const STUFF: Readonly<Partial<Record<GlazeKind, Method>>> = {
  glass: 'scatter',
  frit: 'scatter',
  ash: 'scatter',
  salt: 'scatter',
  decal: 'apply',
};

/** Kinds that make a piece one to look at: nobody has tested what they give off (common practice, no source). */
export const DECORATIVE_KINDS: readonly GlazeKind[] = ['lustre', 'glass', 'decal'];

/** How far a coat covers its band when not all of it: in a pattern, thinning towards an end, or with a slanting edge. */
export type CoatCover =
  | { readonly kind: 'pattern'; readonly name: string; readonly percent: number }
  | { readonly kind: 'fade'; readonly towards: 'rim' | 'foot' }
  /** The edges rise by so much from one side to the other, as a fraction of the side. */
  | { readonly kind: 'slope'; readonly rise: number };

export const COVER_KINDS = ['pattern', 'fade', 'slope'] as const satisfies readonly CoatCover['kind'][];

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
