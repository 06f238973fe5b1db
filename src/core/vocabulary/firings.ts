/** What a firing is for. */
export const FIRING_KINDS = ['bisque', 'glaze', 'once-fired', 'refire', 'lustre'] as const;
export type FiringKind = (typeof FIRING_KINDS)[number];

/** A firing goes through these in order; a closed one has been opened to its last piece. */
export const FIRING_STATES = ['loading', 'firing', 'cooling', 'open', 'closed'] as const;
export type FiringState = (typeof FIRING_STATES)[number];

/** Parts of a kiln whose change is worth a line in its history. */
export const KILN_PARTS = ['elements', 'thermocouple', 'relays', 'burner', 'shelves', 'other'] as const;
export type KilnPart = (typeof KILN_PARTS)[number];

/** One thing that is written down while a kiln fires: a tap, and what it asks for besides. */
export interface FiringEvent {
  readonly kind: string;
  /** What has to be typed or chosen with it. */
  readonly asks?: 'degrees' | 'percent' | 'heaviness' | 'ring' | 'words' | 'details';
  /** What is usually said with it; other words, or none, do as well. */
  readonly details?: readonly string[];
  /** Whether only a kiln with a flame has it. */
  readonly isGasOnly?: true;
  /** The key that does the same as the tap. */
  readonly key: string;
}

/** Peepholes as they lie over one another. */
const PEEPHOLES = ['top', 'middle', 'bottom'];

export const FIRING_EVENTS = [
  { kind: 'hand reading', asks: 'degrees', key: '1' },
  { kind: 'lid propped', asks: 'details', details: ['a crack', 'a finger', 'a hand', 'wide open'], key: '2' },
  { kind: 'lid closed', key: '3' },
  { kind: 'peephole plug in', asks: 'details', details: PEEPHOLES, key: '4' },
  { kind: 'peephole plug out', asks: 'details', details: PEEPHOLES, key: '5' },
  { kind: 'damper', asks: 'percent', isGasOnly: true, key: '6' },
  { kind: 'gas', asks: 'percent', isGasOnly: true, key: '7' },
  { kind: 'reduction starts', asks: 'heaviness', isGasOnly: true, key: '8' },
  { kind: 'reduction ends', isGasOnly: true, key: '9' },
  { kind: 'draw ring', asks: 'ring', isGasOnly: true, key: 'r' },
  { kind: 'note', asks: 'words', key: '0' },
] as const satisfies readonly FiringEvent[];

export type EventKind = (typeof FIRING_EVENTS)[number]['kind'];

/** The kinds of event, in the order in which they are offered. */
export const EVENT_KINDS = FIRING_EVENTS.map(({ kind }) => kind) as [EventKind, ...EventKind[]];

const eventOf = (kind: EventKind): FiringEvent => FIRING_EVENTS.find((one) => one.kind === kind)!;

/** What an event asks for besides the tap; null for nothing. */
export function eventAsks(kind: EventKind): NonNullable<FiringEvent['asks']> | null {
  return eventOf(kind).asks ?? null;
}

/** What is usually said with an event. */
export const eventDetails = (kind: EventKind): readonly string[] => eventOf(kind).details ?? [];

/** What heats a kiln. */
export const KILN_HEATS = ['electric', 'gas', 'wood'] as const;
export type KilnHeat = (typeof KILN_HEATS)[number];

/** How heavy a reduction is. */
export const REDUCTIONS = ['light', 'medium', 'heavy'] as const;
export type Reduction = (typeof REDUCTIONS)[number];

/** What a ring drawn out of a firing kiln shows of the reduction. */
export const RINGS = ['none', ...REDUCTIONS] as const;
export type Ring = (typeof RINGS)[number];

/** What can be wrong with a kiln shelf. */
export const SHELF_FAULTS = ['drip', 'chip', 'crack', 'warped'] as const;
export type ShelfFault = (typeof SHELF_FAULTS)[number];
