/** What the gas in the kiln is meant to do to the glaze. */
export const ATMOSPHERES = ['oxidation', 'neutral', 'reduction'] as const;
export type Atmosphere = (typeof ATMOSPHERES)[number];

/** What the atmosphere of a firing came to, against what was meant; "oxidised" where reduction was meant and none was. */
export const ATMOSPHERES_REACHED = ['as meant', 'weak', 'heavy', 'oxidised'] as const;
export type AtmosphereReached = (typeof ATMOSPHERES_REACHED)[number];

/** How full a kiln was: a part-empty one fires and cools faster and reduces less. */
export const FULLNESSES = ['quarter', 'half', 'three quarters', 'full'] as const;
export type Fullness = (typeof FULLNESSES)[number];
