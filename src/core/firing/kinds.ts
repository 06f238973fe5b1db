/** What a firing is for. */
export const FIRING_KINDS = ['bisque', 'glaze', 'once-fired', 'refire', 'lustre'] as const;
export type FiringKind = (typeof FIRING_KINDS)[number];

/** A firing goes through these in order; a closed one has been opened to its last piece. */
export const FIRING_STATES = ['loading', 'firing', 'cooling', 'open', 'closed'] as const;
export type FiringState = (typeof FIRING_STATES)[number];
