import { ATMOSPHERES, CLAY_STATES, SURFACES, type Cone } from '../vocabulary';

const SPEEDS = ['fast', 'normal', 'slow'] as const;
const THICKNESSES = ['thin', 'medium', 'thick'] as const;

/** What may be in a glaze that matters for a defect. */
export const INGREDIENTS = [
  ...([
    'silicon-carbide',
    'carbonates',
    'sulphates',
    'copper',
    'chrome',
    'tin',
    'zinc',
    'manganese',
  ] as const),
  ...(['cadmium-selenium', 'soda-ash', 'zircon', 'high-clay', 'high-magnesia', 'high-silica'] as const),
  ...(['boron', 'lithium', 'iron'] as const),
] as const;
export type Ingredient = (typeof INGREDIENTS)[number];

/** Keys of evidence whose answer is one of a few words. */
export const WORDS = {
  atmosphere: ATMOSPHERES,
  wantedAtmosphere: ATMOSPHERES,
  coolingAtmosphere: ATMOSPHERES,
  reduction: ['light', 'medium', 'heavy'],
  reductionStart: ['early', 'late'],
  firingKind: ['bisque', 'glaze', 'once-fired', 'refire', 'lustre'],
  firing: SPEEDS,
  cooling: SPEEDS,
  bisqueSpeed: SPEEDS,
  thickness: THICKNESSES,
  slipThickness: THICKNESSES,
  method: ['dip', 'pour', 'brush', 'spray'],
  specificGravityOff: ['thick', 'thin'],
  bodyIron: ['none', 'low', 'high'],
  glazedSides: ['one', 'both'],
  slipAppliedTo: CLAY_STATES,
  slipShrinkage: ['low', 'high'],
  surface: SURFACES,
  wantedSurface: SURFACES,
  movement: ['stable', 'moves', 'runs'],
  boilTest: ['passed', 'failed'],
  edges: ['sharp', 'rounded'],
  location: ['rim', 'foot', 'overlap', 'thick', 'decoration', 'everywhere', 'spot'],
  pattern: ['one-piece', 'twins-agree', 'whole-firing', 'one-body', 'one-batch', 'one-shelf'],
} as const;

/** Keys of evidence that are so or not. */
export const FLAGS = [
  ...([
    'dropHold',
    'marksVisible',
    'onlyWhereThick',
    'onlyInOverlap',
    'otherOrderClean',
    'aloneToo',
  ] as const),
  ...(['rawGlazeCracked', 'stirred', 'dryBetweenCoats', 'bisqueWiped', 'bodyCoarse', 'bodyPorous'] as const),
  ...(['bodyReclaimed', 'bareBodyAlso', 'alsoOnOtherBodies', 'appearsLate', 'reachesBody'] as const),
  ...(['presentBeforeGlazing', 'healedByRefiring', 'nearFoot', 'supported', 'damp'] as const),
] as const;

/** Keys of evidence that are numbers, with their bounds; minutes, a share, coats, different glazes, months, 1e-6/K. */
export const NUMBERS = {
  holdMinutes: [0, 1440],
  kilnFilled: [0, 1],
  coats: [0, 20],
  glazes: [0, 20],
  ageMonths: [0, 1200],
  expansionMismatch: [-20, 20],
} as const;

/** Keys of evidence that are cones. */
export const CONE_KEYS = ['targetCone', 'achievedCone', 'bisqueCone', 'bodyMaxCone'] as const;

type Words = { readonly [K in keyof typeof WORDS]?: (typeof WORDS)[K][number] | undefined };
type Flags = { readonly [K in (typeof FLAGS)[number]]?: boolean | undefined };
type Numbers = { readonly [K in keyof typeof NUMBERS]?: number | undefined };
type Cones = { readonly [K in (typeof CONE_KEYS)[number]]?: Cone | undefined };

/** What is known of a case; every key may be missing. Mismatch is glaze less body, 1e-6/K. */
export interface Evidence extends Words, Flags, Numbers, Cones {
  /** The range of cones the glaze is made for. */
  readonly glazeCone?: readonly [Cone, Cone] | undefined;
  readonly glazeHas?: readonly Ingredient[] | undefined;
  readonly neighbourHas?: readonly Ingredient[] | undefined;
}
