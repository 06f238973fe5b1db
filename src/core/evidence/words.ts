/** How the melted surface looks. */
export const SURFACES = ['gloss', 'satin', 'matte'] as const;
/** How far the glaze moved in the firing. */
export const MOVEMENTS = ['stable', 'moves', 'runs'] as const;
/** What becomes of a piece. */
export const FATES = ['keep', 'first', 'second', 'give', 'refire', 'reglaze', 'grind', 'discard'] as const;
export type Fate = (typeof FATES)[number];
/** Where on a zone a defect sits. */
export const PLACES = ['everywhere', 'spot', 'rim', 'foot', 'overlap', 'thick', 'decoration'] as const;
export type Place = (typeof PLACES)[number];
