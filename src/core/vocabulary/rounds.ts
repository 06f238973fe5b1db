/** The questions a round can ask. */
export const ROUND_KINDS = [
  ...(['overlap', 'coats', 'clays', 'line', 'triaxial', 'corners'] as const),
  ...(['ladder', 'without', 'crazing', 'factorial', 'free'] as const),
] as const;
export type RoundKind = (typeof ROUND_KINDS)[number];

/** The steps a round's pieces go through. A bisqued piece is one that came out of a bisque and has no coat yet. */
export const ROUND_STEPS = ['made', 'bisqued', 'glazed', 'loaded', 'fired', 'read'] as const;
export type RoundStep = (typeof ROUND_STEPS)[number];

/** How the cells of a round lie. */
export const ROUND_SHAPES = ['grid', 'triangle'] as const;
export type RoundShape = (typeof ROUND_SHAPES)[number];
