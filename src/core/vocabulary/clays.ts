/** How one clay is made of several, or of one with something in it. */
export const CLAY_MIXES = ['marbled', 'layered', 'inlaid', 'stained'] as const;
export type ClayMix = (typeof CLAY_MIXES)[number];
