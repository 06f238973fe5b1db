import type { Side } from './coats';
import type { Profile } from './profile';

/** The forms a piece can have: tests first, then ware from small to large. */
export const FORMS = [
  ...(['tile', 'slab', 'ring strip', 'arch', 'bar', 'bridge', 'ball and coil', 'U'] as const),
  ...(['cup', 'mug', 'tumbler', 'tea bowl', 'bowl', 'saucer', 'plate', 'platter'] as const),
  ...(['vase', 'bottle', 'jug', 'lidded jar', 'lid', 'planter', 'lamp', 'sculpture', 'other'] as const),
] as const;
export type Form = (typeof FORMS)[number];

/** A stretch of a form that potters have a word for, by height (of flat ware: from the centre out). */
export interface Landmark {
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

/**
 * What stands out of the silhouette: heights are fractions as of the profile; `reach` is how far a handle or spout
 * stands out, and how high a lid is, in half widths.
 */
export interface StandingPart {
  readonly kind: 'handle' | 'spout' | 'lid';
  readonly from: number;
  readonly to: number;
  readonly reach: number;
}

/** What is cut out of the wall: its middle (`x` in half widths from the axis) and half its size. */
export interface Opening {
  readonly kind: 'opening';
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly high: number;
}

export type FormPart = StandingPart | Opening;

/** What is particular to a form; what is not said is as of an open vessel. Lengths in millimetres. */
export interface FormFacts {
  readonly heightMm: number;
  readonly widthMm: number;
  readonly profile: Profile;
  /** Depth on a kiln shelf, standing upright with what holds it up, of a test that is glazed on its face (judgement). */
  readonly shelfDepthMm?: number;
  readonly sides?: readonly Side[];
  readonly canSplit?: boolean;
  /** Drawn from above, as rings from the centre to the rim. */
  readonly plan?: boolean;
  /** Its foot catches what runs down. */
  readonly catches?: boolean;
  /** Its bands are told from the rim down, not from the foot up. */
  readonly fromRim?: boolean;
  readonly landmarks?: readonly Landmark[];
  readonly parts?: readonly FormPart[];
}

const STRAIGHT: Profile = [
  [0, 1],
  [1, 1],
];

/** Landmarks one above the other, each up to a height. */
function upTo(...ends: readonly (readonly [name: string, end: number])[]): Landmark[] {
  return ends.map(([name, to], i) => ({ name, from: ends[i - 1]?.[1] ?? 0, to }));
}

/** The parts of flat ware from its centre out (judgement, common proportions). */
const FLAT_WARE = upTo(['centre', 1 / 3], ['well', 2 / 3], ['flange', 0.92], ['rim', 1]);

const FACE = { sides: ['outside'], canSplit: true } as const;
const BOTH_FACES = { sides: ['outside', 'inside'], canSplit: true } as const;
const LYING = { profile: STRAIGHT, sides: ['inside', 'outside'], plan: true, landmarks: FLAT_WARE } as const;

/** Usual sizes and silhouettes (judgement, common proportions). */
export const FORM_FACTS: Readonly<Record<Form, FormFacts>> = {
  tile: { heightMm: 100, widthMm: 60, profile: STRAIGHT, shelfDepthMm: 25, ...FACE },
  slab: { heightMm: 120, widthMm: 120, profile: STRAIGHT, shelfDepthMm: 25, ...FACE },
  // The foot flange of the thrown ring, an upside-down T in section.
  'ring strip': {
    ...{ heightMm: 90, widthMm: 45, shelfDepthMm: 30, catches: true, ...BOTH_FACES },
    profile: [
      [0, 1],
      [0.079, 1],
      [0.08, 0.9],
      [1, 0.86],
    ],
  },
  arch: {
    ...{ heightMm: 80, widthMm: 60, shelfDepthMm: 45, ...FACE },
    profile: [
      [0, 1],
      [0.6, 1],
      [0.72, 0.96],
      [0.84, 0.82],
      [0.93, 0.62],
      [0.98, 0.42],
      [1, 0.26],
    ],
  },
  bar: { heightMm: 25, widthMm: 140, profile: STRAIGHT, shelfDepthMm: 20, ...FACE },
  bridge: {
    ...{ heightMm: 45, widthMm: 120, shelfDepthMm: 40, ...FACE },
    profile: [
      [0, 1],
      [0.55, 0.98],
      [0.85, 0.86],
      [1, 0.6],
    ],
    parts: [{ kind: 'opening', x: 0, y: 0, wide: 0.72, high: 0.6 }],
  },
  'ball and coil': {
    ...{ heightMm: 50, widthMm: 45, shelfDepthMm: 45, sides: ['outside'] },
    profile: [
      [0, 0.7],
      [0.12, 0.92],
      [0.24, 0.7],
      [0.26, 0.6],
      [0.42, 0.92],
      [0.62, 1],
      [0.82, 0.86],
      [0.94, 0.56],
      [1, 0.16],
    ],
  },
  U: {
    ...{ heightMm: 60, widthMm: 70, shelfDepthMm: 40, catches: true, ...FACE },
    profile: [
      [0, 0.8],
      [0.12, 0.96],
      [0.3, 1],
      [1, 1],
    ],
    parts: [{ kind: 'opening', x: 0, y: 1, wide: 0.74, high: 0.78 }],
  },
  cup: {
    ...{ heightMm: 90, widthMm: 80 },
    profile: [
      [0, 0.68],
      [0.05, 0.68],
      [0.051, 0.76],
      [0.25, 0.86],
      [0.5, 0.95],
      [0.75, 0.99],
      [1, 1],
    ],
  },
  mug: {
    ...{ heightMm: 95, widthMm: 82 },
    profile: [
      [0, 0.86],
      [0.04, 0.88],
      [0.1, 0.96],
      [0.3, 1],
      [1, 0.98],
    ],
    parts: [{ kind: 'handle', from: 0.2, to: 0.84, reach: 0.66 }],
  },
  tumbler: {
    ...{ heightMm: 140, widthMm: 75 },
    profile: [
      [0, 0.78],
      [0.03, 0.8],
      [0.5, 0.9],
      [1, 1],
    ],
  },
  'tea bowl': {
    ...{ heightMm: 75, widthMm: 120, fromRim: true },
    profile: [
      [0, 0.44],
      [0.1, 0.42],
      [0.101, 0.46],
      [0.2, 0.72],
      [0.4, 0.92],
      [0.7, 0.99],
      [1, 1],
    ],
  },
  bowl: {
    ...{ heightMm: 70, widthMm: 150, fromRim: true },
    profile: [
      [0, 0.4],
      [0.079, 0.4],
      [0.08, 0.5],
      [0.25, 0.66],
      [0.5, 0.85],
      [0.75, 0.96],
      [1, 1],
    ],
  },
  saucer: { heightMm: 140, widthMm: 140, ...LYING },
  plate: { heightMm: 220, widthMm: 220, ...LYING },
  platter: { heightMm: 330, widthMm: 330, ...LYING },
  vase: {
    ...{ heightMm: 220, widthMm: 120 },
    profile: [
      [0, 0.58],
      [0.04, 0.6],
      [0.3, 0.9],
      [0.5, 1],
      [0.68, 0.92],
      [0.8, 0.66],
      [0.87, 0.52],
      [0.94, 0.52],
      [1, 0.62],
    ],
    landmarks: upTo(['foot', 0.08], ['belly', 0.62], ['shoulder', 0.8], ['neck', 0.95], ['rim', 1]),
  },
  bottle: {
    ...{ heightMm: 250, widthMm: 105 },
    profile: [
      [0, 0.76],
      [0.03, 0.8],
      [0.2, 0.97],
      [0.38, 1],
      [0.54, 0.9],
      [0.64, 0.56],
      [0.7, 0.32],
      [0.78, 0.25],
      [0.95, 0.26],
      [1, 0.36],
    ],
    landmarks: upTo(['foot', 0.07], ['belly', 0.5], ['shoulder', 0.68], ['neck', 0.95], ['rim', 1]),
  },
  jug: {
    ...{ heightMm: 200, widthMm: 130 },
    profile: [
      [0, 0.66],
      [0.04, 0.7],
      [0.25, 0.94],
      [0.42, 1],
      [0.62, 0.9],
      [0.78, 0.66],
      [0.88, 0.6],
      [1, 0.7],
    ],
    landmarks: upTo(['foot', 0.07], ['belly', 0.6], ['shoulder', 0.76], ['neck', 0.94], ['rim', 1]),
    parts: [
      { kind: 'handle', from: 0.38, to: 0.95, reach: 0.62 },
      { kind: 'spout', from: 0.86, to: 1, reach: 0.2 },
    ],
  },
  'lidded jar': {
    ...{ heightMm: 160, widthMm: 140 },
    profile: [
      [0, 0.66],
      [0.04, 0.7],
      [0.3, 0.96],
      [0.5, 1],
      [0.75, 0.92],
      [0.92, 0.74],
      [1, 0.72],
    ],
    landmarks: upTo(['foot', 0.08], ['belly', 0.7], ['shoulder', 0.92], ['rim', 1]),
    parts: [{ kind: 'lid', from: 1, to: 1, reach: 0.36 }],
  },
  lid: { heightMm: 110, widthMm: 110, ...LYING },
  planter: {
    ...{ heightMm: 150, widthMm: 170 },
    profile: [
      [0, 0.72],
      [0.9, 0.96],
      [0.905, 1],
      [1, 1],
    ],
    landmarks: upTo(['foot', 0.08], ['belly', 0.88], ['rim', 1]),
  },
  lamp: {
    ...{ heightMm: 180, widthMm: 130 },
    profile: [
      [0, 0.8],
      [0.05, 0.84],
      [0.4, 1],
      [0.7, 0.9],
      [0.9, 0.56],
      [1, 0.4],
    ],
    landmarks: upTo(['foot', 0.08], ['belly', 0.65], ['shoulder', 0.9], ['rim', 1]),
    parts: [
      { kind: 'opening', x: -0.45, y: 0.42, wide: 0.13, high: 0.09 },
      { kind: 'opening', x: 0, y: 0.5, wide: 0.15, high: 0.1 },
      { kind: 'opening', x: 0.45, y: 0.42, wide: 0.13, high: 0.09 },
      { kind: 'opening', x: -0.26, y: 0.68, wide: 0.1, high: 0.07 },
      { kind: 'opening', x: 0.26, y: 0.68, wide: 0.1, high: 0.07 },
    ],
  },
  sculpture: {
    ...{ heightMm: 200, widthMm: 140, canSplit: true },
    profile: [
      [0, 0.7],
      [0.2, 0.86],
      [0.42, 1],
      [0.62, 0.84],
      [0.72, 0.6],
      [0.8, 0.56],
      [0.9, 0.58],
      [0.97, 0.4],
      [1, 0.12],
    ],
  },
  other: {
    ...{ heightMm: 120, widthMm: 90, canSplit: true },
    profile: [
      [0, 0.85],
      [0.5, 1],
      [1, 0.86],
    ],
  },
};
