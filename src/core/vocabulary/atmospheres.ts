/** What the gas in the kiln is meant to do to the glaze. */
export const ATMOSPHERES = ['oxidation', 'neutral', 'reduction'] as const;
export type Atmosphere = (typeof ATMOSPHERES)[number];
