/** What a firing is for. */
export const FIRING_KINDS = ['bisque', 'glaze', 'once-fired', 'refire', 'lustre'] as const;
export type FiringKind = (typeof FIRING_KINDS)[number];

/** A firing goes through these in order; a closed one has been opened to its last piece. */
export const FIRING_STATES = ['loading', 'firing', 'cooling', 'open', 'closed'] as const;
export type FiringState = (typeof FIRING_STATES)[number];

/** Parts of a kiln whose change is worth a line in its history. */
export const KILN_PARTS = ['elements', 'thermocouple', 'relays', 'burner', 'shelves', 'other'] as const;
export type KilnPart = (typeof KILN_PARTS)[number];

/** What is written down while a kiln fires; each is one tap. */
export const EVENT_KINDS = [
  'hand reading',
  'lid propped',
  'lid down',
  'plug in',
  'plug out',
  'damper',
  'gas',
  'reduction starts',
  'reduction ends',
  'note',
] as const;
export type EventKind = (typeof EVENT_KINDS)[number];

/** How heavy a reduction is. */
export const REDUCTIONS = ['light', 'medium', 'heavy'] as const;
export type Reduction = (typeof REDUCTIONS)[number];

/** What can be wrong with a kiln shelf. */
export const SHELF_FAULTS = ['drip', 'chip', 'crack', 'warped'] as const;
